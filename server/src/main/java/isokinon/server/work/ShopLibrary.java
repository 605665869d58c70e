package isokinon.server.work;

import isokinon.core.material.LibraryReader;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.wetend.WetEndRater;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The material library that ships with the application, read once at start. */
@Component
public final class ShopLibrary {

  private final MaterialLibrary materials;
  private final WetEndRater rater;

  ShopLibrary() throws IOException {
    materials =
        LibraryReader.read(
            name ->
                new InputStreamReader(
                    new ClassPathResource("library/materials/" + name + ".csv").getInputStream(),
                    StandardCharsets.UTF_8));
    rater = new WetEndRater(materials);
  }

  /** Materials, fluids and resistance rows. */
  public MaterialLibrary materials() {
    return materials;
  }

  /** The rater over them. */
  public WetEndRater rater() {
    return rater;
  }
}
