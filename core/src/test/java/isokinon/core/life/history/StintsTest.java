package isokinon.core.life.history;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.history.Stints.Stint;
import isokinon.core.value.Fault;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Whether runs can stand beside each other. */
class StintsTest {

  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

  private static Stint stint(
      int line, String place, String serial, int from, int to, boolean failed) {
    return new Stint(
        line,
        place,
        serial,
        DAY.plusDays(from),
        to < 0 ? Optional.empty() : Optional.of(DAY.plusDays(to)),
        10.0 * (to - from),
        failed);
  }

  @Test
  void onePartAfterTheOther() {
    assertThat(
            Stints.faults(
                List.of(
                    stint(2, "A", "P-1", 0, 10, false),
                    stint(3, "A", "P-2", 10, 20, true),
                    stint(0, "A", "", 20, -1, false),
                    stint(4, "B", "P-1", 10, 30, false))))
        .isEmpty();
  }

  @Test
  void twoPartsInOnePlaceAreRefusedWithTheOther() {
    List<Fault> faults =
        Stints.faults(
            List.of(
                stint(0, "A", "", 0, 10, false),
                stint(7, "A", "", 5, 15, false),
                stint(8, "A", "", 14, -1, false)));
    assertThat(faults).extracting(Fault::line).containsExactly(7, 8);
    assertThat(faults.get(0).message())
        .isEqualTo("Another part stood in A at that time, from 2026-01-01 to 2026-01-11.");
    assertThat(faults.get(1).message()).contains("(line 7)");
  }

  @Test
  void aPartIsInOnePlaceAtATimeAndNotAgainOnceItFailed() {
    assertThat(
            Stints.faults(
                List.of(stint(2, "A", "P-1", 0, 10, false), stint(3, "B", "P-1", 5, 9, false))))
        .extracting(Fault::message)
        .containsExactly(
            "Part P-1 was elsewhere at that time, from 2026-01-01 to 2026-01-11 (line 2).");
    assertThat(
            Stints.faults(
                List.of(stint(2, "A", "P-1", 0, 10, true), stint(3, "B", "P-1", 10, 12, false))))
        .extracting(Fault::message)
        .containsExactly("Part P-1 failed on 2026-01-11 and cannot have gone in again.");
  }

  @Test
  void whatIsRecordedAlreadyIsNotRefusedAgain() {
    assertThat(
            Stints.faults(
                List.of(stint(0, "A", "", 0, 10, false), stint(0, "A", "", 5, 15, false))))
        .isEmpty();
  }

  @Test
  void aPartThatMovedCameWithWhatItRanBefore() {
    List<Stint> of =
        List.of(stint(2, "A", "P-1", 0, 10, false), stint(3, "B", "P-1", 12, 20, true));
    assertThat(Stints.cameWith(of.get(0), of)).isZero();
    assertThat(Stints.cameWith(of.get(1), of)).isEqualTo(100);
  }
}
