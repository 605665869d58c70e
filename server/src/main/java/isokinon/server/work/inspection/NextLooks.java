package isokinon.server.work.inspection;

import isokinon.core.act.GaugeUse;
import isokinon.core.act.Measurement;
import isokinon.core.act.NextDue;
import isokinon.core.act.PartReading;
import isokinon.core.inspect.NextLook;
import isokinon.core.inspect.ShorterInterval;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.School;
import isokinon.core.wear.WearRate;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.work.inspection.FindingView.NextView;
import isokinon.server.work.pumps.PartRuns;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** When a pump is looked at again, from what its watched parts read now and before. */
@Component
public class NextLooks {

  /**
   * Without a gauge's own figure a reading is taken to be good to this share of the limit's way.
   */
  private static final double TYPED_SHARE = 0.02;

  /** The counter-measure that changes a part earlier. */
  private static final String SHORTER = "shorter-interval";

  private final FindingMapper store;
  private final PumpMapper pumps;

  NextLooks(FindingMapper store, PumpMapper pumps) {
    this.store = store;
    this.pumps = pumps;
  }

  /** The last reading of the same part in the same life, from an earlier rebuild. */
  Optional<ReadingRow> before(Job job, Part part, Part.Limit l) {
    List<ReadingRow> rows =
        store.readingsOf(job.pump().tag(), part.id()).stream()
            .filter(r -> r.measure().equals(l.measure()))
            .filter(r -> r.rebuild() == null || r.rebuild() != job.row().id())
            .toList();
    return rows.isEmpty()
        ? Optional.empty()
        : Optional.of(rows.get(rows.size() - 1)).filter(r -> !r.lastOfPart());
  }

  /** The next look with what is judged so far, and one part more that is in hand. */
  public NextView next(Job job, Optional<Part> inHand) {
    Rebuild rebuild = job.rebuild();
    List<NextLook.Watched> watched = new ArrayList<>();
    for (Part part : rebuild.sheet().parts()) {
      boolean judgedSo = rebuild.verdict(part.id()).equals(Optional.of(Verdict.WATCH));
      if (judgedSo || inHand.filter(p -> p.id().equals(part.id())).isPresent()) {
        watched.add(new NextLook.Watched(part.name(), rate(job, part)));
      }
    }
    double planned = job.pump().intervalHours();
    NextLook next = NextLook.of(planned, watched);
    return shorter(job)
        .filter(s -> s.hours() <= next.hours())
        .map(s -> new NextView(planned, s.hours(), s.because()))
        .orElseGet(() -> new NextView(planned, next.hours(), next.because()));
  }

  /**
   * When the pump is due again.
   *
   * @param back day of the hand-back
   */
  public NextDue due(Job job, LocalDate back) {
    NextView next = next(job, Optional.empty());
    boolean untilTear = job.rebuild().has(School.Effect.UNTIL_TEAR) && next.because().isEmpty();
    return new NextDue(
        untilTear ? Optional.empty() : Optional.of(Math.rint(job.row().hoursThen() + next.hours())),
        next.hours(),
        next.planned(),
        back.plusDays(Math.round(next.hours() / job.pump().hoursPerDay())),
        next.because());
  }

  /** The interval from now on, where a part gave out and is to be changed earlier. */
  public Optional<NextLook> shorter(Job job) {
    return job.rebuild().causes().entrySet().stream()
        .filter(c -> c.getValue().act().counters().contains(SHORTER))
        .flatMap(c -> job.rebuild().sheet().part(c.getKey()).stream())
        .flatMap(p -> shorter(job, p).stream())
        .min(Comparator.comparingDouble(NextLook::hours));
  }

  private Optional<NextLook> shorter(Job job, Part part) {
    return age(job.pump(), part)
        .flatMap(
            age ->
                ShorterInterval.of(job.pump().intervalHours(), age)
                    .map(
                        hours ->
                            new NextLook(
                                hours,
                                part.name()
                                    + " gave out at "
                                    + Text.plain(Math.rint(age))
                                    + " h: from now on it is changed at four fifths of that.")));
  }

  /** Hours on a part that came out; empty where nobody wrote down when it went in. */
  private Optional<Double> age(PumpRow pump, Part part) {
    return pumps.fitted(pump.tag()).stream()
        .filter(f -> f.standsFor(part.role().orElse(""), PartRuns.place(part)))
        .map(f -> f.age(pump))
        .findFirst();
  }

  /** How fast a part wears, by the limit that it reaches first. */
  private Optional<WearRate> rate(Job job, Part part) {
    return part.limits().stream()
        .flatMap(l -> rate(job, part, l).stream())
        .filter(r -> r.hoursLeft().isPresent())
        .min(Comparator.comparingDouble(r -> r.hoursLeft().orElseThrow()));
  }

  private Optional<WearRate> rate(Job job, Part part, Part.Limit l) {
    Optional<Measurement> now =
        Optional.ofNullable(job.rebuild().readings(part.id()).get(l.measure()))
            .map(PartReading::measurement);
    Optional<ReadingRow> before = before(job, part, l);
    double fitted = job.pump().fittedAtHours();
    double since = job.row().hoursThen() - before.map(ReadingRow::hours).orElse(fitted);
    // Only the wearing set is known to have gone in new at the last rebuild; others may be older.
    boolean ofTheSet = part.role().equals(Optional.of(job.pump().role()));
    Optional<Double> from =
        before.map(ReadingRow::reading).or(() -> l.asNew().filter(v -> ofTheSet));
    if (now.isEmpty() || from.isEmpty() || since <= 0) {
      return Optional.empty();
    }
    double value = now.get().reading().value();
    Part.Edge edge = l.toward(value);
    return Optional.of(
        WearRate.between(
            new WearRate.Reading(
                l.size(from.get()), before.map(r -> uncertainty(r.gauge(), l, edge)).orElse(0.0)),
            new WearRate.Reading(
                l.size(value),
                uncertainty(now.get().gauge().map(GaugeUse::id).orElse(""), l, edge)),
            since,
            edge.renew()));
  }

  private double uncertainty(String gauge, Part.Limit l, Part.Edge edge) {
    return store
        .gauge(gauge)
        .filter(g -> g.unit().equals(l.unit()))
        .map(GaugeRow::uncertainty)
        .orElse(TYPED_SHARE * Math.abs(edge.renew() - edge.watch()));
  }
}
