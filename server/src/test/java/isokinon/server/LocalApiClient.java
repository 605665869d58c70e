package isokinon.server;

import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Lazy;

/** A client of the server under test, on the port it happens to have. */
@TestConfiguration
public class LocalApiClient {

  private static final int LAST = 1_000;

  /** Behind all that looks at rights: whoever asks only whether they may is answered here. */
  @Bean
  FilterRegistrationBean<Filter> asksOnly() {
    Filter filter =
        (request, response, chain) -> {
          if (((HttpServletRequest) request).getHeader(ApiClient.ASKS_ONLY) == null) {
            chain.doFilter(request, response);
          } else {
            ((HttpServletResponse) response).setStatus(HttpServletResponse.SC_NO_CONTENT);
          }
        };
    FilterRegistrationBean<Filter> last = new FilterRegistrationBean<>(filter);
    last.setOrder(LAST);
    return last;
  }

  /** Made when it is first asked for: the port is known only then. */
  @Bean
  @Lazy
  ApiClient apiClient(@Value("${local.server.port}") int port) {
    return new ApiClient("http://127.0.0.1:" + port);
  }
}
