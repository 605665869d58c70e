package isokinon.server.folder;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.core.env.SimpleCommandLinePropertySource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** Takes the data folder in hand before the application starts, and lets it go after it ended. */
@Configuration
public class FolderOfTheApplication {

  private static final String DATA_SOURCE = "dataSource";
  private static final String FOLDER = "dataFolder";

  /**
   * The folder that the arguments, the system or the environment name; {@code ./data} where none
   * does.
   *
   * @throws CannotStart where it cannot be worked on
   */
  public static DataFolder take(String... args) throws IOException {
    Environment environment = environment(args);
    return DataFolder.open(
        path(environment),
        newestSchema(),
        environment.getProperty("isokinon.trusted", Boolean.class, false));
  }

  /** Where the data lie. */
  public static Path path(Environment environment) {
    return Path.of(environment.getProperty("isokinon.data", "./data"));
  }

  /** What the arguments, the system and the environment say, before anything is started. */
  public static Environment environment(String... args) {
    StandardEnvironment environment = new StandardEnvironment();
    environment.getPropertySources().addFirst(new SimpleCommandLinePropertySource(args));
    return environment;
  }

  /** The database is opened after the folder was taken, and closed before it is let go. */
  public static ApplicationContextInitializer<GenericApplicationContext> holding(
      DataFolder folder) {
    return context -> {
      context.registerBean(FOLDER, DataFolder.class, () -> folder);
      context.addBeanFactoryPostProcessor(
          beans -> beans.getBeanDefinition(DATA_SOURCE).setDependsOn(FOLDER));
    };
  }

  /** The number of the last migration that ships with this application. */
  static int newestSchema() throws IOException {
    Resource[] migrations =
        new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*__*.sql");
    return Arrays.stream(migrations)
        .map(Resource::getFilename)
        .mapToInt(name -> Integer.parseInt(name.substring(1, name.indexOf("__"))))
        .max()
        .orElse(0);
  }

  @Bean
  FlywayMigrationStrategy toldToTheFolder(ObjectProvider<DataFolder> folder) {
    return (Flyway flyway) -> {
      flyway.migrate();
      folder.ifAvailable(
          f -> f.migrated(Integer.parseInt(flyway.info().current().getVersion().getVersion())));
    };
  }
}
