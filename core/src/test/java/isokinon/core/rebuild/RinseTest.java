package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.JobAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.material.FluidsInTurn;
import isokinon.core.material.FluidsInTurn.Turn;
import isokinon.core.material.Meeting;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Fluids that must not meet went through a pump: none of either is left when it is opened. */
class RinseTest {

  private static final String CHLORINE = "rinse-free-chlorine";
  private static final String SULPHITE = "rinse-sulphite";

  private static List<Meeting.Residue> residues(Turn... turns) {
    return FluidsInTurn.of(List.of(turns), ShippedLibrary.read()).residues();
  }

  private static final List<Meeting.Residue> BLEACH_AND_ANTICHLOR =
      residues(new Turn("sodium-hypochlorite", 12), new Turn("sodium-bisulphite", 38));

  private static RebuildDriver bench(List<Meeting.Residue> residues) {
    Fitted fitted = new Fitted("diaphragm", "CSM").rinsedOf(residues);
    return new RebuildDriver(ShippedSheet.boltedPlastic(), fitted);
  }

  private static List<String> asked(RebuildDriver bench) {
    return bench.rebuild().hazards().stream()
        .map(Sheet.Hazard::id)
        .filter(id -> id.startsWith("rinse"))
        .toList();
  }

  private static JobAct.ProvedSafe read(String id, double mgL) {
    return new JobAct.ProvedSafe(id, Optional.of(new Reading(mgL, "mg/L")));
  }

  @Test
  void eachIsReadOnceAndPhWhereTheSheetAsksIt() {
    assertThat(BLEACH_AND_ANTICHLOR)
        .extracting(Meeting.Residue::what)
        .containsExactlyInAnyOrder("Free chlorine", "pH", "Sulphite");
    assertThat(asked(bench(BLEACH_AND_ANTICHLOR).takesIn(RebuildDriver.WET_KIT)))
        .containsExactlyInAnyOrder(CHLORINE, SULPHITE);
  }

  @Test
  void aRinseThatStillHoldsChlorineKeepsTheStripLocked() {
    RebuildDriver bench = bench(BLEACH_AND_ANTICHLOR).takesIn(RebuildDriver.WET_KIT);
    assertThat(bench.refused(read(CHLORINE, 6))).startsWith("6 mg/L is over the 1 mg/L");
    assertThat(bench.refused(new JobAct.StageDone(Stage.MAKE_SAFE)))
        .isEqualTo("Strip stays locked: 9 still to prove.");
    assertThat(bench.does(read(CHLORINE, 1)).makesSafe().rebuild().stage()).isEqualTo(Stage.STRIP);
  }

  @Test
  void whatIsOnlySeenIsConfirmed() {
    List<Meeting.Residue> oil =
        residues(new Turn("hydrogen-peroxide", 35), new Turn("mineral-oil", 100));
    RebuildDriver bench = bench(oil).takesIn(RebuildDriver.WET_KIT);
    assertThat(asked(bench))
        .containsExactlyInAnyOrder("rinse-peroxide", "rinse-nothing-floats-on-the-last-rinse");
    assertThat(bench.makesSafe().rebuild().stage()).isEqualTo(Stage.STRIP);
  }

  @Test
  void fluidsThatMayFollowEachOtherAskForNothing() {
    assertThat(residues(new Turn("sodium-hypochlorite", 12), new Turn("caustic-soda", 2)))
        .isEmpty();
  }

  @Test
  void aJobThatPassedTheGateIsNotSentBackByADutyWrittenLater() {
    RebuildDriver before = bench(List.of()).takesIn(RebuildDriver.WET_KIT).makesSafe();
    Fitted later = new Fitted("diaphragm", "CSM").rinsedOf(BLEACH_AND_ANTICHLOR);
    Rebuild now = Rebuild.replay(ShippedSheet.boltedPlastic(), later, before.events());
    assertThat(now.stage()).isEqualTo(Stage.STRIP);
    assertThat(now.hazards()).noneMatch(h -> h.id().startsWith("rinse"));
  }
}
