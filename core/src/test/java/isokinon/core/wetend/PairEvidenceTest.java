package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Effect;
import isokinon.core.material.Knowledge;
import isokinon.core.material.Resistance;
import isokinon.core.wetend.PairEvidence.Contradiction;
import isokinon.core.wetend.PairEvidence.Kind;
import isokinon.core.wetend.PairEvidence.Seen;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PairEvidenceTest {

  private static Resistance row(Double full, Double limited) {
    return new Resistance(
        "acid",
        0,
        20,
        "NBR",
        Optional.ofNullable(full),
        Optional.ofNullable(limited),
        Optional.of(Effect.SWELLS),
        "b",
        "s",
        "2026-01-01",
        "",
        Knowledge.USUAL,
        false);
  }

  private static Optional<Contradiction> of(Resistance row, Seen... seen) {
    return PairEvidence.against(Optional.of(row), List.of(seen));
  }

  @ParameterizedTest
  @CsvSource({
    "HARDNESS, 12, 40, true", // an attack where the library is whole
    "HARDNESS, -6, 40, true", // a warning where the library is whole
    "HARDNESS, 4, 40, false",
    "HARDNESS, 6, 65, false", // some ageing is what limited life means
    "HARDNESS, -12, 65, true", // an attack is not
    "SWELL, 20, 40, true",
    "SWELL, 5, 40, false",
    "ATTACKED, 0, 40, true",
    "ATTACKED, 0, 90, false", // the library said so
    "SOUND, 0, 40, false"
  })
  void whatContradictsARowOfFull60Limited80(Kind kind, double value, double t, boolean flagged) {
    assertThat(of(row(60.0, 80.0), new Seen(kind, value, t, 10)).isPresent()).isEqualTo(flagged);
  }

  @Test
  void theSuggestedRowAgreesWithWhatWasSeen() {
    Contradiction c = of(row(60.0, 80.0), new Seen(Kind.HARDNESS, -12, 50, 10)).orElseThrow();
    assertThat(c.sentence()).contains("60 °C").contains("50 °C").contains("12 Shore A softer");
    Resistance own = row(c.fullC().orElse(null), c.limitedC().orElse(null));
    assertThat(own.factorAt(50)).isZero();
    assertThat(of(own, new Seen(Kind.HARDNESS, -12, 50, 10))).isEmpty();
  }

  @Test
  void threeSoundRunsSpeakAgainstALibraryThatRulesItOut() {
    Seen sound = new Seen(Kind.SOUND, 0, 40, 10);
    Seen[] three = Collections.nCopies(3, sound).toArray(Seen[]::new);
    assertThat(of(row(null, null), sound, sound)).isEmpty();
    Contradiction c = of(row(null, null), three).orElseThrow();
    assertThat(row(c.fullC().orElse(null), c.limitedC().orElse(null)).factorAt(40)).isPositive();
  }

  @Test
  void nothingContradictsWhatIsUnknown() {
    assertThat(PairEvidence.against(Optional.empty(), List.of(new Seen(Kind.ATTACKED, 0, 20, 10))))
        .isEmpty();
  }
}
