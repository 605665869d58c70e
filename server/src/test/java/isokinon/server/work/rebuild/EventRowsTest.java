package isokinon.server.work.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.GaugeUse;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.NextDue;
import isokinon.core.act.PartAct;
import isokinon.core.act.RandomActs;
import isokinon.core.act.Reading;
import isokinon.core.act.StepAct;
import isokinon.core.sheet.Part.Verdict;
import isokinon.server.db.rebuilds.EventRow;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EventRowsTest {

  private static final OffsetDateTime AT =
      OffsetDateTime.of(2026, 3, 17, 8, 0, 0, 0, ZoneOffset.UTC);
  private static final List<String> NAMES =
      List.of("diaphragm-a", "L-0417", "CSM", "edge-wear", "0.8 bar", "a note: with a colon");

  private static Act stored(Act act) {
    BenchEvent<?> event = new BenchEvent<>(3, AT.toInstant(), "RT", true, act);
    EventRow row = EventRows.row(7, "k", AT, event, "bench 2");
    BenchEvent<?> read = EventRows.event(row);
    assertThat(read.of(act)).isEqualTo(event);
    return read.act();
  }

  @Test
  void everyKindOfActComesBackAsItWasRecorded() {
    assertThat(RandomActs.KINDS).hasSize(StoredKind.values().length);
    for (Class<?> kind : RandomActs.KINDS) {
      for (int seed = 0; seed < 40; seed++) {
        Act act = recordable(RandomActs.of(kind, new Random(seed), NAMES));
        assertThat(stored(act)).as("seed " + seed).isEqualTo(act);
      }
    }
  }

  /** A hand-back holds either its numbers or what an older record says. */
  private static Act recordable(Act act) {
    return act instanceof JobAct.HandedBack handed && handed.due().isPresent()
        ? new JobAct.HandedBack(handed.due(), "")
        : act;
  }

  @Test
  void aJudgementKeepsAllItsReadingsWithTheirGauges() {
    Measurement bore =
        new Measurement(
            "bore-wear", new Reading(0.25, "mm"), Optional.of(new GaugeUse("DI-05", true)));
    Measurement hard =
        new Measurement("hardness-change", new Reading(-4, "ShoreA"), Optional.empty());
    PartAct.Judged act =
        new PartAct.Judged("stator", Verdict.WATCH, List.of(bore, hard), List.of("burnt"), "holds");
    assertThat(stored(act)).isEqualTo(act);
  }

  // ---- rows of earlier versions ---------------------------------------------------------------

  private static Act older(
      String kind, String step, String subject, Double reading, String text, String items) {
    return EventRows.event(
            new EventRow(
                7, 1, "k", AT, "RT", false, kind, step, subject, 1, 2, reading, "N·m", text, items,
                "", ""))
        .act();
  }

  @Test
  void rowsOfEarlierVersionsAreReadAsTheyWereMeant() {
    assertThat(older("TAKEN_IN", "", "", null, "due", "renew:tube\ninspect:arm\nway:by-finding"))
        .isEqualTo(
            new JobAct.TakenIn(
                List.of("tube"), List.of("arm"), List.of("by-finding"), List.of(), "due"));
    assertThat(older("JUDGED", "", "stator", null, "", "renew\nsign:burnt"))
        .isEqualTo(new PartAct.Judged("stator", Verdict.RENEW, List.of(), List.of("burnt"), ""));
    assertThat(older("LOT_FITTED", "", "L-0417", null, "bag", "diaphragm-a\ndiaphragm-b"))
        .isEqualTo(
            new PartAct.KitFitted(
                "L-0417", List.of("diaphragm-a", "diaphragm-b"), Map.of(), "bag"));
    assertThat(older("CAUSE_FOUND", "", "stator", null, "", "unknown"))
        .isEqualTo(new PartAct.CauseFound("stator", Optional.empty(), List.of(), ""));
    assertThat(older("FAULT_FOUND", "", "other", null, "", ""))
        .isEqualTo(new JobAct.FaultFound(Optional.empty(), ""));
    assertThat(older("TORQUE_READ", "cap", "", 15.0, "clicked", "gauge:W-05\noverdue"))
        .isEqualTo(
            new StepAct.TorqueRead("cap", 1, 2, 15, true, Optional.of(new GaugeUse("W-05", true))));
  }

  @Test
  void whenAPumpIsDueAgainIsKeptAsNumbersAndOlderRecordsKeepTheirSentence() {
    NextDue due =
        new NextDue(Optional.of(9_400.0), 1_800, 2_400, LocalDate.of(2026, 9, 1), "ball worn.");
    assertThat(stored(new JobAct.HandedBack(Optional.of(due), "")))
        .isEqualTo(new JobAct.HandedBack(Optional.of(due), ""));
    assertThat(older("HANDED_BACK", "", "", null, "next due at 9400 h, about 1 Sep 2026", ""))
        .isEqualTo(new JobAct.HandedBack(Optional.empty(), "at 9400 h, about 1 Sep 2026"));
  }
}
