package isokinon.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;

/** The whole server on a port of its own, the demo mill in memory, the clock fixed. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Tag("slow")
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = {
      "spring.datasource.url=jdbc:h2:mem:mill;DB_CLOSE_DELAY=-1",
      "isokinon.demo=true",
      "isokinon.diary.search=500ms",
      "logging.level.isokinon.server.http.Problems=off"
    })
@ExtendWith(FreshMill.class)
@Import({MillTest.FixedClock.class, LocalApiClient.class})
public @interface MillTest {

  /** Tuesday morning at the mill. */
  Instant NOW = Instant.parse("2026-03-17T08:00:00Z");

  /** Stands in for the system clock. */
  @TestConfiguration
  class FixedClock {
    @Bean
    @Primary
    Clock fixedClock() {
      return Clock.fixed(NOW, ZoneOffset.UTC);
    }
  }
}
