package isokinon.server.http.bounds;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.value.Fault;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WithinBoundsTest {

  record Inner(String serial, Double price) {}

  record Asked(
      @Size(max = 10) String own,
      String person,
      String free,
      List<String> words,
      Map<String, Double> fit,
      Inner inner,
      Optional<Double> maybe) {}

  private static final Asked SOUND =
      new Asked("ten chars.", "MARA", "x".repeat(200), List.of("a"), Map.of("a", 1.0), null, null);

  private static List<String> paths(Object body) {
    return WithinBounds.faults(body).stream().map(Fault::path).toList();
  }

  @Test
  void aFieldIsAsLongAsItSaysElseAsItsNameSaysElseAsAllAre() {
    assertThat(paths(SOUND)).isEmpty();
    assertThat(paths(new Asked("eleven char", "MARAS", "x".repeat(201), null, null, null, null)))
        .containsExactly("own", "person", "free");
  }

  @Test
  void whatStandsInsideIsLookedAtByItsPath() {
    assertThat(
            paths(
                new Asked(
                    null,
                    null,
                    null,
                    Arrays.asList("a", null, "x".repeat(300)),
                    Map.of("k", Double.POSITIVE_INFINITY),
                    new Inner("s".repeat(41), -5.0),
                    Optional.of(1e300))))
        .containsExactly("words[1]", "words[2]", "fit.k", "inner.serial", "inner.price", "maybe");
  }

  @Test
  void noNumberIsNoneAndNoListIsEndless() {
    assertThat(paths(new Inner(null, Double.NaN))).containsExactly("price");
    assertThat(paths(new Asked(null, null, null, Collections.nCopies(2001, "a"), null, null, null)))
        .containsExactly("words");
  }
}
