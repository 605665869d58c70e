package isokinon.server.http.security;

import isokinon.server.access.Sessions;
import isokinon.server.access.SignedIn;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationToken;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * The cookie that a device holds while somebody is signed in on it. Scripts cannot read it, other
 * sites cannot send it, and over TLS it goes nowhere else.
 */
@Component
public class SessionCookie implements SecurityContextRepository {

  private static final String PLAIN = "isokinon";

  /** A browser takes this name only over TLS, for the whole of one host. */
  private static final String OVER_TLS = "__Host-isokinon";

  private final Sessions sessions;

  SessionCookie(Sessions sessions) {
    this.sessions = sessions;
  }

  private static String name(HttpServletRequest request) {
    return request.isSecure() ? OVER_TLS : PLAIN;
  }

  /** What the device holds. */
  public Optional<String> of(HttpServletRequest request) {
    Cookie[] all = request.getCookies();
    return all == null
        ? Optional.empty()
        : Arrays.stream(all)
            .filter(c -> c.getName().equals(name(request)))
            .map(Cookie::getValue)
            .filter(v -> !v.isEmpty())
            .findFirst();
  }

  /** Gives the device what it holds from now on; an empty word takes it away. */
  public void give(HttpServletRequest request, HttpServletResponse response, String word) {
    ResponseCookie.ResponseCookieBuilder cookie =
        ResponseCookie.from(name(request), word)
            .path("/")
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Strict");
    if (word.isEmpty()) {
      cookie.maxAge(0);
    }
    response.addHeader(HttpHeaders.SET_COOKIE, cookie.build().toString());
  }

  @Override
  @Deprecated
  public SecurityContext loadContext(HttpRequestResponseHolder holder) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    of(holder.getRequest())
        .flatMap(sessions::of)
        .ifPresent(me -> context.setAuthentication(token(me)));
    return context;
  }

  private static PreAuthenticatedAuthenticationToken token(SignedIn me) {
    return new PreAuthenticatedAuthenticationToken(me, "", List.of());
  }

  @Override
  public void saveContext(
      SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
    // who signs in is written by the operation that signs in
  }

  @Override
  public boolean containsContext(HttpServletRequest request) {
    return of(request).isPresent();
  }
}
