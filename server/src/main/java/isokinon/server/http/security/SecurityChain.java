package isokinon.server.http.security;

import isokinon.server.http.delivery.ProblemAnswer;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.actuate.autoconfigure.security.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.util.matcher.IpAddressMatcher;

/**
 * What stands before every operation: the host that is asked for, the page that asks, who is signed
 * in, the right, and what a browser is told to keep to. Against requests that other sites make up
 * stand the cookie, which they cannot send, and {@link OwnPagesOnly}; a token in each form would
 * say the same a third time.
 */
@Configuration(proxyBeanMethods = false)
class SecurityChain {

  /**
   * Scripts, styles and everything else from this server only; nothing written into the page. The
   * decoder of codes is WebAssembly, which a browser compiles only where it is allowed.
   */
  private static final String CONTENT =
      "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self';"
          + " img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none';"
          + " form-action 'self'; frame-ancestors 'none'";

  private static final String API = "/api/";

  private static final String DEVICES =
      "camera=(self), microphone=(), geolocation=(), payment=(), usb=()";

  @Bean
  SecurityFilterChain chain(
      HttpSecurity http,
      SessionCookie cookie,
      RightOfTheAddress rights,
      @Value("${isokinon.watchers}") List<String> watchers)
      throws Exception {
    return http.csrf(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .securityContext(c -> c.securityContextRepository(cookie))
        .addFilterBefore(new OwnPagesOnly(), SecurityContextHolderFilter.class)
        .headers(
            h ->
                h.contentSecurityPolicy(p -> p.policyDirectives(CONTENT))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .permissionsPolicyHeader(p -> p.policy(DEVICES))
                    .frameOptions(f -> f.deny())
                    // a browser would take it for the plain door's port as well
                    .httpStrictTransportSecurity(t -> t.disable())
                    .cacheControl(c -> c.disable())
                    .addHeaderWriter(SecurityChain::notKept))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                        (request, response, why) ->
                            ProblemAnswer.write(
                                response,
                                HttpServletResponse.SC_UNAUTHORIZED,
                                "Not signed in",
                                "Say who stands here first."))
                    .accessDeniedHandler(
                        (request, response, why) ->
                            ProblemAnswer.write(
                                response,
                                HttpServletResponse.SC_FORBIDDEN,
                                "Not theirs to do",
                                why.getMessage())))
        .authorizeHttpRequests(
            a ->
                a.dispatcherTypeMatchers(
                        DispatcherType.FORWARD, DispatcherType.ERROR, DispatcherType.ASYNC)
                    .permitAll()
                    .requestMatchers(EndpointRequest.toAnyEndpoint().excluding("health"))
                    .access(fromOneOf(watchers))
                    .anyRequest()
                    .access(rights))
        .build();
  }

  /** Nobody signs in to watch a server: its figures are for certain machines. */
  private static AuthorizationManager<RequestAuthorizationContext> fromOneOf(
      List<String> addresses) {
    List<IpAddressMatcher> known =
        addresses.stream().map(a -> new IpAddressMatcher(a.strip())).toList();
    return (asks, context) ->
        new AuthorizationDecision(known.stream().anyMatch(k -> k.matches(context.getRequest())));
  }

  /** What the shop's data say is kept by no browser; scripts and fonts are. */
  private static void notKept(HttpServletRequest request, HttpServletResponse response) {
    if (request.getRequestURI().startsWith(API)
        && !response.containsHeader(HttpHeaders.CACHE_CONTROL)) {
      response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    }
  }

  /** Nobody signs in by a form or a header of the library's own. */
  @Bean
  AuthenticationManager nobodyByTheUsualWays() {
    return asked -> {
      throw new BadCredentialsException("people sign in at /api/v1/session");
    };
  }

  /**
   * The names under which the server may be asked for: a page of another site that calls itself by
   * another name cannot reach it through the address of this machine.
   */
  @Bean
  HttpFirewall names(@Value("${isokinon.hosts:}") List<String> more) {
    Set<String> names = new HashSet<>(Set.of("localhost", "127.0.0.1", "::1", "[::1]"));
    more.forEach(n -> names.add(n.strip().toLowerCase(Locale.ROOT)));
    StrictHttpFirewall firewall = new StrictHttpFirewall();
    firewall.setAllowedHostnames(name -> names.contains(name.toLowerCase(Locale.ROOT)));
    firewall.setAllowUrlEncodedPercent(true);
    return firewall;
  }

  @Bean
  RequestRejectedHandler notSo() {
    return (request, response, why) ->
        ProblemAnswer.write(
            response,
            HttpServletResponse.SC_BAD_REQUEST,
            "Not an address of this server",
            "The address, its name or a header of the request cannot be so here.");
  }
}
