package isokinon.server.http.security;

import isokinon.server.http.delivery.ProblemAnswer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses what a page of another site sends. A browser says with every request where its page is
 * from; a program says nothing, and has no cookie that it was not given.
 */
final class OwnPagesOnly extends OncePerRequestFilter {

  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
  private static final Set<String> OWN = Set.of("same-origin", "none");

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return READING.contains(request.getMethod());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String site = request.getHeader("Sec-Fetch-Site");
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    if (site != null && !OWN.contains(site) || origin != null && !ours(origin, request)) {
      ProblemAnswer.write(
          response,
          HttpServletResponse.SC_FORBIDDEN,
          "Another site",
          "A page of another site asked for this: it is done from the shop's own pages only.");
      return;
    }
    chain.doFilter(request, response);
  }

  private static boolean ours(String origin, HttpServletRequest request) {
    try {
      URI from = URI.create(origin);
      return from.getAuthority() != null
          && from.getAuthority().equalsIgnoreCase(request.getHeader(HttpHeaders.HOST));
    } catch (IllegalArgumentException e) {
      return false;
    }
  }
}
