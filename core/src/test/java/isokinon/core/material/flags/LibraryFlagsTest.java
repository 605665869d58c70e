package isokinon.core.material.flags;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Effect;
import isokinon.core.material.Knowledge;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.material.flags.LibraryFlags.Flag;
import isokinon.core.value.Code;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LibraryFlagsTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final LibraryFlags FLAGS = new LibraryFlags(LIBRARY);

  @Test
  void noRowOfTheShippedLibraryIsWhatCannotBe() {
    Stream<String> flagged =
        LIBRARY.rows().stream()
            .filter(r -> !FLAGS.of(r).isEmpty())
            .map(
                r ->
                    "%s %s-%s %s %s/%s %s"
                        .formatted(
                            r.fluid(),
                            r.fromPct(),
                            r.toPct(),
                            r.material(),
                            r.fullC().orElse(null),
                            r.limitedC().orElse(null),
                            FLAGS.of(r)));
    assertThat(flagged).isEmpty();
  }

  /** Each kind of error, written as a row: the flag finds it. */
  @ParameterizedTest
  @CsvSource({
    "detergent, 0, 100, NBR, 75, 100, hardens, KINDER_THAN_WATER",
    "hydrofluoric-acid, 0, 12, PP-GF30, 60, 80, dissolves, BETTER_THAN_ITS_BASE",
    "seawater, 1, 5, chromium-carbide, 60, 90, pits, BETTER_THAN_ITS_BASE",
    "chromic-acid, 15, 25, PTFE-CD25, 80, 120, oxidises, CARBON_IN_IT_OXIDISES",
    "caustic-soda, 0, 5, TPC-ET, 45, 65, hydrolyses, POLYESTER_IN_ALKALI",
    "nitric-acid, 45, 55, PVDF, 85, 90, oxidises, STRONGER_IS_KINDER",
    "peracetic-acid, 10, 16, PTFE, 45, 80, '', PAST_THE_CEILING",
    "caustic-soda, 3, 9, EPDM, 90, 110, ages, BANDS_OVERLAP",
    "toluene, 0, 100, NBR, 10, 20, '', EFFECT_NOT_SAID"
  })
  void whatCannotBeIsFlagged(
      String fluid,
      double from,
      double to,
      String material,
      double full,
      double limited,
      String effect,
      Flag flag) {
    Resistance row =
        new Resistance(
            fluid,
            from,
            to,
            material,
            Optional.of(full),
            Optional.of(limited),
            Code.parse(Effect.class, effect),
            "a test",
            "",
            "2026-11-28",
            "",
            Knowledge.USUAL,
            false);
    assertThat(FLAGS.of(row)).contains(flag);
  }

  @Test
  void whatAShopWroteItselfIsHeldAgainstTheShippedRowsToo() {
    Resistance own =
        new Resistance(
            "detergent",
            0,
            10,
            "NBR",
            Optional.of(90.0),
            Optional.of(99.0),
            Optional.of(Effect.SWELLS),
            "seen here",
            "",
            "2026-11-28",
            "",
            Knowledge.USUAL,
            true);
    assertThat(FLAGS.of(own)).isEqualTo(List.of(Flag.KINDER_THAN_WATER));
  }
}
