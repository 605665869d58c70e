package isokinon.core.diagnosis;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The diagnosis library as shipped. */
public final class ShippedDiagnosis {

  private ShippedDiagnosis() {}

  public static DiagnosisLibrary read() {
    try {
      return DiagnosisReader.read(
          t -> Files.newBufferedReader(Path.of("../library/diagnosis/" + t + ".csv")));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
