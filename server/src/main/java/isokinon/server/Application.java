package isokinon.server;

import isokinon.server.folder.Backups;
import isokinon.server.folder.CannotStart;
import isokinon.server.folder.DataFolder;
import isokinon.server.folder.DemoMark;
import isokinon.server.folder.FolderOfTheApplication;
import isokinon.server.folder.RecordsCheck;
import isokinon.server.network.OnTheNetwork;
import isokinon.server.network.ScannedAddress;
import isokinon.server.work.library.ShippedLibrary;
import isokinon.server.work.shared.ShopClock;
import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.core.env.Environment;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application: HTTP over the rules of the job, with a file database under it. */
@SpringBootApplication
@MapperScan("isokinon.server.db")
@EnableScheduling
public class Application {

  /** Goes through the chain of every job in the data folder instead of serving it. */
  private static final String CHECK_RECORDS = "--isokinon.check-records";

  private static final String LOG_FILE = "logging.file.name";

  /** The exit code where a record was altered. */
  private static final int ALTERED = 9;

  /** The exit code where a backup was not put back. */
  private static final int NOT_RESTORED = 10;

  /** Starts the application, or says in one sentence why it cannot work on its data folder. */
  public static void main(String[] args) throws IOException {
    try {
      Environment asked = FolderOfTheApplication.environment(args);
      DemoMark.require(
          FolderOfTheApplication.path(asked),
          asked.getProperty("isokinon.demo", Boolean.class, false));
      String backup = asked.getProperty("isokinon.restore", "");
      if (!backup.isEmpty()) {
        System.exit(restored(Path.of(backup), FolderOfTheApplication.path(asked)));
      }
      DataFolder folder = FolderOfTheApplication.take(args);
      if (List.of(args).contains(CHECK_RECORDS)) {
        System.exit(altered(folder) == 0 ? 0 : ALTERED);
      }
      List<String> all = new ArrayList<>(List.of(args));
      if (!asked.containsProperty(LOG_FILE)) {
        all.add("--" + LOG_FILE + "=" + folder.path().resolve("logs/isokinon.log"));
      }
      if (OnTheNetwork.isAskedFor(asked)) {
        all.addAll(network(asked, folder));
      }
      ShippedLibrary.readAhead();
      SpringApplication application = new SpringApplication(Application.class);
      application.addInitializers(FolderOfTheApplication.holding(folder));
      application.run(all.toArray(new String[0]));
    } catch (CannotStart e) {
      System.err.println(e.getMessage());
      System.exit(e.why().exitCode());
    }
  }

  private static List<String> network(Environment asked, DataFolder folder) throws IOException {
    try {
      OnTheNetwork network = OnTheNetwork.prepare(asked, folder.path(), Clock.systemDefaultZone());
      System.out.println("\n  Isokinon is at  " + network.address() + "\n");
      System.out.println(ScannedAddress.of(network.address()));
      if (network.authority() != null) {
        System.out.println("  New tablets go to " + network.address() + "/trust first.");
        System.out.println("  The authority is known by " + network.authority().fingerprint());
      }
      return network.arguments(asked);
    } catch (GeneralSecurityException e) {
      throw new IOException("The certificate of the shop cannot be made: " + e.getMessage(), e);
    }
  }

  private static int restored(Path backup, Path data) throws IOException {
    try {
      Backups.restore(backup, data);
      System.out.println(backup + " is in " + data + " now.");
      return 0;
    } catch (Backups.Failed e) {
      System.err.println(e.getMessage());
      return NOT_RESTORED;
    }
  }

  private static int altered(DataFolder folder) {
    try {
      return RecordsCheck.of(folder, System.out);
    } catch (SQLException e) {
      System.err.println("The records cannot be read: " + e.getMessage());
      return ALTERED;
    } finally {
      folder.close();
    }
  }

  @Bean
  Clock clock() {
    return new ShopClock(Clock.systemDefaultZone());
  }
}
