package isokinon.server;

import java.time.Clock;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The application: HTTP over the rules of the job, with a file database under it. */
@SpringBootApplication
@MapperScan("isokinon.server.db")
public class Application {

  /** Starts the application. */
  public static void main(String[] args) {
    SpringApplication.run(Application.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
