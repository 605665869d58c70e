package isokinon.server.demo;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.findings.CauseRow;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.db.shop.GaugeRow;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Stream;

/**
 * What was read and found at the rebuilds of a simulated history: the tests of each proof, parts
 * that wear slowly over several rebuilds, and why sets failed. Drawn with a seed made from the tag.
 */
final class PastReadings {

  private static final long SEED = 20260302;
  private static final int SLOW_PARTS = 3;
  private static final int MOST_REBUILDS = 6;

  private final PumpRow pump;
  private final Sheet sheet;
  private final List<RunRow> runs;
  private final List<GaugeRow> gauges;
  private final OffsetDateTime now;
  private final SplittableRandom random;

  PastReadings(
      PumpRow pump, Sheet sheet, List<RunRow> runs, List<GaugeRow> gauges, OffsetDateTime now) {
    this.pump = pump;
    this.sheet = sheet;
    this.runs = runs.subList(Math.max(0, runs.size() - MOST_REBUILDS), runs.size());
    this.gauges = gauges;
    this.now = now;
    this.random = new SplittableRandom(SEED * 31 + pump.tag().hashCode());
  }

  /** Readings of every past rebuild, oldest first. */
  List<ReadingRow> readings() {
    List<ReadingRow> rows = new ArrayList<>();
    for (Sheet.ProofTest t : sheet.proof()) {
      if (t.unit().isEmpty()) {
        continue;
      }
      double asNew =
          t.min().isPresent() && t.max().isPresent()
              ? t.min().get() + (t.max().get() - t.min().get()) * (0.5 + 0.3 * random.nextDouble())
              : t.min().map(m -> m * 1.2).or(() -> t.max().map(m -> m * 0.45)).orElse(1.0);
      for (RunRow run : runs) {
        double value = asNew * (1 + 0.03 * (random.nextDouble() - 0.5));
        row(ReadingRow.PROOF, t.id(), t.unit(), value, run).ifPresent(rows::add);
      }
    }
    slowParts()
        .forEach(
            part -> {
              Part.Limit l = part.limits().get(0);
              double nowWorn = 0.25 + 0.5 * random.nextDouble();
              for (RunRow run : runs) {
                double share = hours(run) / Math.max(1, pump.runningHours()) * nowWorn;
                double value =
                    l.asNew().orElseThrow()
                        + (l.edge().renew() - l.asNew().get())
                            * share
                            * (1 + 0.06 * (random.nextDouble() - 0.5));
                row(part.id(), l.measure(), l.unit(), value, run).ifPresent(rows::add);
              }
            });
    return rows;
  }

  /**
   * Parts that outlast several sets: they have a limit, a size when new, and no material to choose.
   */
  private Stream<Part> slowParts() {
    return sheet.parts().stream()
        .filter(p -> p.renew() == Part.Renew.INSPECT && p.role().isEmpty())
        .filter(p -> !p.limits().isEmpty() && p.limits().get(0).asNew().isPresent())
        .limit(SLOW_PARTS);
  }

  /** Why each failed set failed. */
  List<CauseRow> causes(List<SimulatedHistory.Era> truth) {
    Optional<Part> lead =
        sheet.parts().stream().filter(p -> p.role().equals(Optional.of(pump.role()))).findFirst();
    List<CauseRow> rows = new ArrayList<>();
    for (RunRow run : runs) {
      if (run.failed() && lead.isPresent()) {
        truth.stream()
            .filter(e -> e.material().equals(run.material()))
            .findFirst()
            .ifPresent(
                e ->
                    rows.add(
                        new CauseRow(
                            pump.tag(),
                            pump.family(),
                            lead.get().id(),
                            e.causeId(),
                            "",
                            run.cause(),
                            run.material(),
                            run.hours(),
                            at(run),
                            null)));
      }
    }
    return rows;
  }

  private Optional<ReadingRow> row(
      String subject, String measure, String unit, double value, RunRow run) {
    Optional<GaugeRow> gauge =
        gauges.stream()
            .filter(g -> g.unit().equals(unit))
            .filter(
                g ->
                    g.measures().isEmpty()
                        || Arrays.asList(g.measures().split("\\|")).contains(measure))
            .findFirst();
    double step = gauge.map(GaugeRow::resolution).orElse(0.01);
    return Optional.of(
        new ReadingRow(
            pump.tag(),
            subject,
            measure,
            unit,
            Math.rint(value / step) * step,
            at(run),
            hours(run),
            "RT",
            gauge.map(GaugeRow::id).orElse(""),
            false,
            null,
            false));
  }

  private double hours(RunRow run) {
    long days = ChronoUnit.DAYS.between(run.endedOn(), now.toLocalDate());
    return Math.max(0, pump.runningHours() - days * pump.hoursPerDay());
  }

  private static OffsetDateTime at(RunRow run) {
    return run.endedOn().atTime(LocalTime.of(10, 30)).atOffset(ZoneOffset.UTC);
  }
}
