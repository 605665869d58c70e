package isokinon.bench.campaign;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;

/** Counts the rounds of a campaign in a file: one that was broken off goes on where it was. */
final class Rounds {

  private final Path file;
  private int done;

  Rounds(String campaign) throws IOException {
    Files.createDirectories(Path.of("target/campaigns"));
    file = Path.of("target/campaigns", campaign);
    done = Files.exists(file) ? Integer.parseInt(Files.readString(file).strip()) : 0;
  }

  /** Chance from a seed. A campaign that goes on does not begin again with what it began with. */
  Random random(long seed) {
    return new Random(seed + done);
  }

  /** Whether some are left of so many; where none is, the next time begins anew. */
  boolean left(int of) throws IOException {
    if (done >= of) {
      Files.deleteIfExists(file);
      return false;
    }
    return true;
  }

  /** Begins the next; tells its number. */
  int next() throws IOException {
    Files.writeString(file, String.valueOf(++done));
    return done;
  }
}
