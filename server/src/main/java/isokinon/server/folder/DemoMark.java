package isokinon.server.folder;

import isokinon.server.folder.CannotStart.Why;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Marks a folder that holds the made-up mill, so that nobody keeps a shop of their own in it. */
public final class DemoMark {

  private static final String NAME = "isokinon.demo";

  private DemoMark() {}

  /** Marks a folder. */
  public static void set(Path folder) throws IOException {
    Files.writeString(folder.resolve(NAME), "The made-up mill of the demo lies here.\n");
  }

  /**
   * Lets a shop of one's own begin only where the demo is not.
   *
   * @param demo whether the demo was asked for
   * @throws CannotStart where a folder of the demo was asked for as a shop
   */
  public static void require(Path folder, boolean demo) {
    if (!demo && Files.exists(folder.resolve(NAME))) {
      throw new CannotStart(
          Why.DEMO,
          folder
              + " holds the made-up mill of the demo, whose PINs everybody knows. Give your shop a"
              + " folder of its own.");
    }
  }
}
