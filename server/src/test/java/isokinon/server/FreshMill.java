package isokinon.server;

import isokinon.server.db.Tables;
import isokinon.server.work.history.BackUp;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.WeakHashMap;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ApplicationContext;
import org.springframework.test.context.junit.jupiter.SpringExtension;

/**
 * Gives each test class the demo mill as it is shipped. The server itself runs on: it starts once,
 * its first back-up is kept, and that is put back before each further class.
 */
final class FreshMill implements BeforeAllCallback {

  private static final Map<ApplicationContext, Path> SHIPPED = new WeakHashMap<>();

  @Override
  public void beforeAll(ExtensionContext tests) throws IOException {
    ApplicationContext server = SpringExtension.getApplicationContext(tests);
    BackUp backUp = server.getBean(BackUp.class);
    Path shipped = SHIPPED.get(server);
    if (shipped == null) {
      SHIPPED.put(server, written(backUp));
    } else {
      server.getBean(Tables.class).clearAll();
      backUp.restore(shipped);
    }
  }

  private static Path written(BackUp backUp) throws IOException {
    Path file = Files.createTempFile("mill", ".json");
    file.toFile().deleteOnExit();
    try (OutputStream out = Files.newOutputStream(file)) {
      backUp.json(out);
    }
    return file;
  }
}
