package isokinon.core.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.diagnosis.ShippedDiagnosis;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.wear.WearRate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OutcomeTest {

  private static final DiagnosisLibrary LIBRARY = ShippedDiagnosis.read();
  private static final Part STATOR =
      ShippedSheet.of("cavity-pin-joint-40").part("stator").orElseThrow();

  @ParameterizedTest
  @CsvSource({
    "bore-wear, 0.29, SOUND, Bore wear is 0.01 mm clear of watch.",
    "bore-wear, 0.4, WATCH, 'Bore wear is 0.1 mm into watch, 0.3 mm before renew.'",
    "bore-wear, 0.3, WATCH, Bore wear is at the watch limit.",
    "bore-wear, 0.7, RENEW, Bore wear is at the renew limit.",
    "bore-wear, 0.84, RENEW, Bore wear is 0.14 mm past the renew limit.",
    "hardness-change, -6, WATCH, 'Hardness change is 1 Shore A into watch, 4 Shore A before renew.'",
    "hardness-change, 12, RENEW, Hardness change is 2 Shore A past the renew limit.",
  })
  void aReadingIsJudgedAndSaidWithItsDistance(
      String measure, double value, Verdict verdict, String say) {
    Outcome outcome = Outcome.of(STATOR, Map.of(measure, value), List.of(), List.of());
    assertThat(outcome.verdict()).isEqualTo(verdict);
    assertThat(outcome.because()).containsExactly(say);
  }

  @ParameterizedTest
  @CsvSource({
    "39, RENEW, Winding resistance is 1 ohm past the renew limit.",
    "44, WATCH, 'Winding resistance is 2 ohm into watch, 4 ohm before renew.'",
    "46.5, SOUND, Winding resistance is 0.5 ohm clear of watch.",
    "51.5, SOUND, Winding resistance is 4.5 ohm clear of watch.",
    "56, WATCH, Winding resistance is at the watch limit.",
    "75, RENEW, Winding resistance is 15 ohm past the renew limit.",
  })
  void aCoilIsBadBelowAndAbove(double ohm, Verdict verdict, String say) {
    Part coil = ShippedSheet.of("linear-twin-diaphragm-80").part("coil-left").orElseThrow();
    Outcome outcome = Outcome.of(coil, Map.of("winding-resistance", ohm), List.of(), List.of());
    assertThat(outcome).isEqualTo(new Outcome(verdict, List.of(say)));
  }

  @Test
  void theWorstOfReadingsAndSignaturesDecides() {
    Outcome outcome =
        Outcome.of(
            STATOR,
            Map.of("bore-wear", 0.1, "swell", 9.0),
            List.of(LIBRARY.signature("burnt").orElseThrow()),
            List.of());
    assertThat(outcome.verdict()).isEqualTo(Verdict.RENEW);
    assertThat(outcome.because().get(0)).startsWith("Burnt");
    assertThat(outcome.because()).hasSize(3);
    assertThat(Outcome.of(STATOR, Map.of(), List.of(), List.of()).verdict())
        .isEqualTo(Verdict.SOUND);
  }

  @Test
  void watchShortensTheNextIntervalToTheEarlyEdgeOfTheHoursLeft() {
    // 0.40 mm in 3 000 h, 0.30 mm to go: 2 250 h; 0.01 mm on both readings.
    WearRate rate =
        WearRate.between(new WearRate.Reading(0, 0.01), new WearRate.Reading(0.4, 0.01), 3000, 0.7);
    NextLook next = NextLook.of(4200, List.of(new NextLook.Watched("Stator", Optional.of(rate))));
    assertThat(next.hours())
        .isCloseTo(2250 - 1.645 * rate.hoursLeftU().orElseThrow(), within(1e-9))
        .isLessThan(2250);
    assertThat(next.because()).startsWith("Stator reaches its renew limit in about 2250 h");
  }

  @Test
  void withoutARateItIsHalfAndWithNothingWatchedItStays() {
    assertThat(NextLook.of(4000, List.of(new NextLook.Watched("Rotor", Optional.empty()))).hours())
        .isEqualTo(2000);
    assertThat(NextLook.of(4000, List.of())).isEqualTo(new NextLook(4000, ""));
    WearRate still =
        WearRate.between(
            new WearRate.Reading(0.4, 0.01), new WearRate.Reading(0.4, 0.01), 3000, 0.7);
    assertThat(NextLook.of(4000, List.of(new NextLook.Watched("R", Optional.of(still)))).hours())
        .isEqualTo(4000);
  }
}
