package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.cavity.CavityFlow;
import isokinon.core.magnetic.Coupling;
import isokinon.core.magnetic.MagnetMargin;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.sheet.reading.SheetReading;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Fields of inspection and proof: read, refused with path and line, and sound on every sheet. */
class ProofFieldsTest {

  private static final List<Sheet> ALL = ShippedSheet.all();

  @Test
  void aSizeWhenNewLiesOnTheGoodSideOfWatch() {
    for (Sheet sheet : ALL) {
      for (Part part : sheet.parts()) {
        for (Part.Limit l : part.limits()) {
          l.asNew()
              .ifPresent(
                  v ->
                      assertThat(l.judge(v))
                          .as(sheet.id() + " " + part.id() + " " + l.measure())
                          .isEqualTo(Part.Verdict.SOUND));
        }
      }
    }
  }

  @Test
  void whatACavityPumpIsProvedByItCanDisplace() {
    for (Sheet sheet : ALL) {
      if (sheet.stator().isEmpty()) {
        continue;
      }
      var s = sheet.stator().get();
      Sheet.ProofTest flow =
          sheet.proof().stream().filter(t -> t.rpm().isPresent()).findFirst().orElseThrow();
      CavityFlow most =
          CavityFlow.of(
              s.eccentricityMm().orElseThrow(),
              s.rotorDiameterMm(),
              s.pitchMm().orElseThrow(),
              flow.rpm().get(),
              flow.max().orElseThrow());
      CavityFlow least =
          CavityFlow.of(
              s.eccentricityMm().get(),
              s.rotorDiameterMm(),
              s.pitchMm().get(),
              flow.rpm().get(),
              flow.min().orElseThrow());
      assertThat(most.efficiency()).as(sheet.id()).isBetween(0.9, 1.02);
      assertThat(least.efficiency()).as(sheet.id()).isBetween(0.6, 0.85);
    }
  }

  @Test
  void couplingsCarryTheirOwnPointInWaterAndPullOffLimitsFollowTheRating() {
    for (Sheet sheet : ALL) {
      if (sheet.coupling().isEmpty()) {
        continue;
      }
      Coupling c = sheet.coupling().get();
      MagnetMargin m =
          MagnetMargin.of(
              1000, c.flowM3h(), c.headM(), c.efficiency(), c.rpm(), c.ratedNm(), c.magnet(), 20);
      assertThat(m.verdict()).as(sheet.id()).isEqualTo(MagnetMargin.Verdict.SOUND);
      Part.Limit pullOff =
          sheet.parts().stream()
              .flatMap(p -> p.limits().stream())
              .filter(l -> l.measure().equals("pull-off-torque"))
              .findFirst()
              .orElseThrow();
      assertThat(pullOff.edge().watch())
          .isEqualTo(0.9 * c.ratedNm(), org.assertj.core.data.Offset.offset(0.01));
      assertThat(pullOff.edge().renew())
          .isEqualTo(0.8 * c.ratedNm(), org.assertj.core.data.Offset.offset(0.01));
    }
  }

  @Test
  void oilAndChargeOfTheOilBackedHeadAreTheRulesOwn() {
    Sheet sheet = ShippedSheet.of("oil-two-piston-50");
    // The volume of 420 mL within 20 mL, and a tenth to a fifth of the working pressure of 20 bar.
    Handling.Check oil = check(sheet, "oil-filled");
    Handling.Check gas = check(sheet, "charge");
    assertThat(List.of(oil.min().orElseThrow(), oil.max().orElseThrow()))
        .isEqualTo(List.of(400.0, 440.0));
    assertThat(List.of(gas.min().orElseThrow(), gas.max().orElseThrow()))
        .isEqualTo(List.of(2.0, 4.0));
  }

  private static Handling.Check check(Sheet sheet, String id) {
    return sheet.buildOnly().stream()
        .flatMap(s -> s.how().checks().stream())
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void everySheetHasATestThatWaitsForCureAndNoneRunsItsClockForMoreThanAnHour() {
    for (Sheet sheet : ALL) {
      assertThat(sheet.proof()).as(sheet.id()).anyMatch(Sheet.ProofTest::afterWaits);
      assertThat(sheet.proof()).as(sheet.id()).allMatch(t -> t.clockSeconds() <= 3600);
    }
    assertThat(ALL).anyMatch(s -> s.proof().stream().anyMatch(t -> t.runs().isPresent()));
    assertThat(ALL).anyMatch(s -> s.proof().stream().anyMatch(t -> t.againHours() > 0));
  }

  private static SheetReading withProof(String line) {
    String source = ShippedSheet.source("tube-push-in-8");
    int at = source.indexOf("proof:\n") + "proof:\n".length();
    return SheetReader.forLibrary()
        .read(source.substring(0, at) + line + "\n" + source.substring(at));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{turns: 0, setMl: 195} | runs.turns",
        "{turns: 100} | runs.setMl",
        "{turns: 100, setMl: 195, withinPct: 0} | runs.withinPct",
        "{turns: many, setMl: 195} | runs.turns",
      })
  void runsThatSayTooLittleAreFaultsWithTheirPath(String runs, String path) {
    SheetReading reading =
        withProof("  - {id: extra, ask: Extra, kind: number, unit: mL, runs: " + runs + "}");
    assertThat(reading.sheet()).isEqualTo(Optional.empty());
    assertThat(reading.faults()).anyMatch(f -> f.path().endsWith(path));
  }

  @ParameterizedTest
  @ValueSource(strings = {"clockSeconds: soon", "againHours: -1", "afterWaits: perhaps"})
  void aFieldThatIsNoneIsAFault(String field) {
    SheetReading reading = withProof("  - {id: extra, ask: Extra, kind: confirm, " + field + "}");
    assertThat(reading.faults())
        .anyMatch(f -> f.path().endsWith(field.substring(0, field.indexOf(':'))));
  }

  @Test
  void aMagnetThatIsNeitherIsAFault() {
    String source =
        ShippedSheet.source("magnetic-plastic-12").replace("magnet: ndfeb", "magnet: fridge");
    assertThat(SheetReader.forLibrary().read(source).faults())
        .anyMatch(f -> f.path().equals("coupling.magnet") && f.message().contains("fridge"));
  }
}
