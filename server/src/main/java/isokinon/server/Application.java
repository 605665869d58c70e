package isokinon.server;

import isokinon.server.folder.CannotStart;
import isokinon.server.folder.DataFolder;
import isokinon.server.folder.FolderOfTheApplication;
import isokinon.server.work.library.ShippedLibrary;
import java.io.IOException;
import java.time.Clock;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application: HTTP over the rules of the job, with a file database under it. */
@SpringBootApplication
@MapperScan("isokinon.server.db")
@EnableScheduling
public class Application {

  /** Starts the application, or says in one sentence why it cannot work on its data folder. */
  public static void main(String[] args) throws IOException {
    try {
      DataFolder folder = FolderOfTheApplication.take(args);
      ShippedLibrary.readAhead();
      SpringApplication application = new SpringApplication(Application.class);
      application.addInitializers(FolderOfTheApplication.holding(folder));
      application.run(args);
    } catch (CannotStart e) {
      System.err.println(e.getMessage());
      System.exit(e.why().exitCode());
    }
  }

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
