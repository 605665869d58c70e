package isokinon.server.http.security;

import isokinon.server.access.ChangeLog;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.EnumSet;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Has every change written down but acts at the bench, which carry who, when and where themselves.
 */
@Configuration
class ChangesMade implements WebMvcConfigurer, HandlerInterceptor {

  private static final EnumSet<Right> LOOKING = EnumSet.of(Right.OPEN, Right.SEE);
  private static final String BASE = "/api/v1";
  private static final String ACTS = BASE + "/rebuilds/{id}/acts";
  private static final int FIRST_FAULT = 400;

  private final ChangeLog log;

  ChangesMade(ChangeLog log) {
    this.log = log;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns(ACTS);
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception failed) {
    boolean done = response.getStatus() < FIRST_FAULT && !request.getMethod().equals("GET");
    Authentication asks = SecurityContextHolder.getContext().getAuthentication();
    if (done
        && handler instanceof HandlerMethod operation
        && RightOfTheAddress.right(operation).filter(r -> !LOOKING.contains(r)).isPresent()
        && asks != null
        && asks.getPrincipal() instanceof SignedIn me) {
      Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
      log.made(
          me,
          request.getMethod() + " " + String.valueOf(pattern).replace(BASE, ""),
          request.getRequestURI());
    }
  }
}
