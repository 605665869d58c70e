package isokinon.core.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.diagnosis.ShippedDiagnosis;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A clearance of bore and shaft, rollers side by side, and signs that condemn one part only. */
class ComparedReadingsTest {

  private static final Sheet METAL = ShippedSheet.of("magnetic-metal-50");
  private static final Sheet HEAD = ShippedSheet.of("tube-push-in-8");

  @ParameterizedTest
  @CsvSource({
    "30.06, 30.00, SOUND",
    "30.09, 29.98, SOUND",
    "30.09, 29.97, WATCH",
    "30.15, 29.97, WATCH",
    "30.15, 29.95, RENEW",
  })
  void aClearanceIsBoreLessSleeve(double bore, double sleeve, Verdict verdict) {
    Map<String, Map<String, Double>> read =
        Map.of(
            "front-bushing", Map.of("bore", bore),
            "front-sleeve", Map.of("diameter", sleeve));
    for (String part : read.keySet()) {
      assertThat(ComparedReadings.of(METAL, part, p -> read.getOrDefault(p, Map.of())))
          .as(part)
          .singleElement()
          .satisfies(r -> assertThat(r.verdict()).isEqualTo(verdict));
    }
    assertThat(ComparedReadings.of(METAL, "impeller", p -> Map.of())).isEmpty();
  }

  @Test
  void nothingIsSaidAsLongAsOneOfThemIsNotRead() {
    assertThat(
            ComparedReadings.of(
                HEAD, "roller-1", p -> p.equals("roller-3") ? Map.of() : Map.of("diameter", 23.97)))
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "23.98, 23.97, 23.95, SOUND",
    "24.00, 23.97, 23.94, WATCH",
    "24.0, 23.9, 23.89, RENEW"
  })
  void rollersAreHeldSideBySide(double one, double two, double three, Verdict verdict) {
    Map<String, Double> read = Map.of("roller-1", one, "roller-2", two, "roller-3", three);
    assertThat(ComparedReadings.of(HEAD, "roller-2", p -> Map.of("diameter", read.get(p))))
        .singleElement()
        .satisfies(
            r -> {
              assertThat(r.verdict()).isEqualTo(verdict);
              assertThat(r.say()).startsWith("Rollers side by side 0.");
            });
  }

  @Test
  void aScoredCarbideFaceIsRenewedAScoredRotorIsWatched() {
    Sheet lobe = ShippedSheet.of("lobe-face-seal-40");
    var scored = ShippedDiagnosis.read().signature("scored-along").orElseThrow();
    assertThat(verdict(lobe, "seal-upper", scored)).isEqualTo(Verdict.RENEW);
    assertThat(verdict(lobe, "cover", scored)).isEqualTo(Verdict.WATCH);
  }

  private static Verdict verdict(
      Sheet sheet, String part, isokinon.core.diagnosis.DiagnosisLibrary.Signature sign) {
    return Outcome.of(sheet.part(part).orElseThrow(), Map.of(), List.of(sign), List.of()).verdict();
  }
}
