package isokinon.server;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Lazy;

/** A client of the server under test, on the port it happens to have. */
@TestConfiguration
public class LocalApiClient {

  /** Made when it is first asked for: the port is known only then. */
  @Bean
  @Lazy
  ApiClient apiClient(@Value("${local.server.port}") int port) {
    return new ApiClient("http://127.0.0.1:" + port);
  }
}
