package isokinon.server.work.stages;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.cavity.CavityFlow;
import isokinon.core.cavity.RotorFit;
import isokinon.core.diaphragm.AirDriven;
import isokinon.core.peristaltic.Calibration;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.PastReading;
import isokinon.server.work.stages.StageView.ProofView;
import isokinon.server.work.stages.StageView.StepBehind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The tests of the proof: against their limits, against the test before, with their clocks. */
@Component
public class ProofViewer {

  /** Readings of earlier tests that are shown beside this one. */
  private static final int MOST_BEFORE = 8;

  private final FindingMapper store;

  ProofViewer(FindingMapper store) {
    this.store = store;
  }

  List<ProofView> of(long id, PumpRow pump, Rebuild rebuild) {
    List<ReadingRow> before =
        store.readingsOf(pump.tag(), ReadingRow.PROOF).stream()
            .filter(r -> r.rebuild() == null || r.rebuild() != id)
            .toList();
    return rebuild.sheet().proof().stream().map(t -> proof(rebuild, t, before)).toList();
  }

  private static ProofView proof(Rebuild rebuild, Sheet.ProofTest t, List<ReadingRow> all) {
    Optional<BenchEvent<ProofAct.Proved>> answer = rebuild.proof(t.id());
    List<ReadingRow> before =
        all.stream().filter(r -> r.measure().equals(t.id()) && r.unit().equals(t.unit())).toList();
    List<Double> runs =
        rebuild.runs(t.id()).stream()
            .flatMap(e -> e.act().reading().stream())
            .map(Reading::value)
            .toList();
    boolean passed = rebuild.passed(t);
    return new ProofView(
        t.id(),
        t.ask(),
        t.kind(),
        t.unit(),
        t.min(),
        t.max(),
        t.clockSeconds(),
        answer.isPresent() && (t.runs().isEmpty() || rebuild.calibration(t).isPresent()),
        passed,
        rebuild.missed(t),
        rebuild.notMet(t.id()).map(e -> e.act().seen()).orElse(""),
        t.runs().isPresent()
            ? rebuild.calibration(t).map(c -> c.mlPerTurn() * t.runs().get().turns())
            : answer.flatMap(e -> e.act().reading()).map(Reading::value),
        answer.map(e -> PartAssessment.by(e.who(), e.act().gauge())).orElse(""),
        t.backTo().stream().map(step -> behind(rebuild, t, step)).toList(),
        shows(rebuild, t),
        rebuild.clock(t.id()).map(s -> s.plusSeconds(t.clockSeconds())).map(Instant::toString),
        t.afterWaits(),
        t.runs().isPresent(),
        runs,
        before.subList(Math.max(0, before.size() - MOST_BEFORE), before.size()).stream()
            .map(
                r ->
                    new PastReading(
                        r.reading(), Text.day(r.takenAt().toLocalDate()), r.hours(), r.overdue()))
            .toList(),
        says(rebuild, t, before),
        t.source());
  }

  private static StepBehind behind(Rebuild rebuild, Sheet.ProofTest t, String step) {
    return new StepBehind(
        step,
        rebuild.sheet().stepSentence(step),
        rebuild.everythingBuilt().contains(step),
        !rebuild.behind(new ProofAct.SentBack(t.id(), List.of(step))).isEmpty());
  }

  /** Symptoms a test that does not hold is a sign of. */
  private static List<String> shows(Rebuild rebuild, Sheet.ProofTest t) {
    if (!rebuild.missed(t)) {
      return List.of();
    }
    boolean over =
        rebuild
            .proof(t.id())
            .flatMap(e -> e.act().reading())
            .flatMap(r -> t.max().map(max -> r.value() > max))
            .orElse(false);
    return over ? t.shows().over() : t.shows().under();
  }

  /** What the numbers come to, in one or two sentences. */
  private static String says(Rebuild rebuild, Sheet.ProofTest t, List<ReadingRow> before) {
    List<String> says = new ArrayList<>();
    if (t.runs().isPresent()) {
      says.add(calibration(rebuild, t));
    }
    Optional<Double> value =
        rebuild.proof(t.id()).flatMap(e -> e.act().reading()).map(Reading::value);
    if (value.isPresent() && t.runs().isEmpty()) {
      efficiency(rebuild, t, value.get(), before).ifPresent(says::add);
    }
    if (value.isPresent() && t.unit().equals("L") && !before.isEmpty()) {
      double best = before.stream().mapToDouble(ReadingRow::reading).max().orElseThrow();
      AirDriven now = AirDriven.of(value.get(), 1, best, Double.NaN);
      if (now.leaks()) {
        says.add(
            String.format(
                Locale.ROOT,
                "%.0f %% under its best: balls, seats or a diaphragm let liquid back.",
                100 * now.lost()));
      }
    }
    Optional<ReadingRow> last =
        before.isEmpty() ? Optional.empty() : Optional.of(before.get(before.size() - 1));
    Optional<Double> now =
        t.runs().isPresent()
            ? rebuild.calibration(t).map(c -> c.mlPerTurn() * t.runs().get().turns())
            : value;
    if (now.isPresent() && last.isPresent() && last.get().reading() != 0) {
      double off = 100 * (now.get() - last.get().reading()) / last.get().reading();
      says.add(
          String.format(
              Locale.ROOT,
              "%+.1f %% against the last test on %s.",
              off,
              Text.day(last.get().takenAt().toLocalDate())));
    }
    return String.join(" ", says);
  }

  private static String calibration(Rebuild rebuild, Sheet.ProofTest t) {
    Sheet.Runs runs = t.runs().orElseThrow();
    int done = rebuild.runs(t.id()).size();
    Optional<Calibration> c = rebuild.calibration(t);
    if (c.isEmpty()) {
      return (Calibration.FEWEST - done)
          + " of "
          + Calibration.FEWEST
          + " runs to do, each of "
          + Text.plain(runs.turns())
          + " turns.";
    }
    String result =
        String.format(
            Locale.ROOT,
            "%.3f mL a turn from %d runs, give or take %.2f %%; scatter %.2f %%, %+.1f %% of what is"
                + " set.",
            c.get().mlPerTurn(),
            done,
            c.get().halfWidthPct(),
            c.get().cvPct(),
            c.get().errorPct());
    return c.get().moreRuns() == 0
        ? result
            + String.format(
                Locale.ROOT, " Enter %.3f mL a turn in the controller.", c.get().mlPerTurn())
        : result
            + " "
            + Text.count(c.get().moreRuns(), "run")
            + " more at this scatter for "
            + Text.plain(runs.withinPct())
            + " %.";
  }

  private static Optional<String> efficiency(
      Rebuild rebuild, Sheet.ProofTest t, double m3h, List<ReadingRow> before) {
    Optional<RotorFit.Stator> stator =
        rebuild.sheet().stator().filter(s -> s.pitchMm().isPresent() && t.rpm().isPresent());
    if (stator.isEmpty() || !t.unit().equals("m3/h")) {
      return Optional.empty();
    }
    CavityFlow flow = flow(stator.get(), t, m3h);
    String says =
        String.format(
            Locale.ROOT,
            "%.0f %% of the %.3f m³/h displaced; %.0f %% slips back.",
            100 * flow.efficiency(),
            flow.theoreticalM3h(),
            100 * (1 - flow.efficiency()));
    double best = before.stream().mapToDouble(ReadingRow::reading).max().orElse(0);
    if (best <= 0) {
      return Optional.of(says);
    }
    CavityFlow asNew = flow(stator.get(), t, best);
    return Optional.of(
        says
            + switch (CavityFlow.wear(asNew.efficiency(), flow.efficiency())) {
              case RENEW -> " 25 points or more under its best test: renew rotor or stator.";
              case WATCH -> " 15 points or more under its best test: watch.";
              case SOUND -> "";
            });
  }

  private static CavityFlow flow(RotorFit.Stator s, Sheet.ProofTest t, double m3h) {
    return CavityFlow.of(
        s.eccentricityMm().orElseThrow(),
        s.rotorDiameterMm(),
        s.pitchMm().orElseThrow(),
        t.rpm().orElseThrow(),
        m3h);
  }
}
