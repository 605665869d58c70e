package isokinon.server.work.inspection;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.wear.Trend;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Every quantity that was measured on a pump over its running hours, and where it is heading. */
@Component
public class Trends {

  /**
   * One measured quantity.
   *
   * @param title part and measure, or the test
   * @param watch value to watch at; empty for tests
   * @param limit value that is not to be crossed; empty where there is none
   * @param line where it is heading; empty under two readings of one life
   */
  public record TrendView(
      String title,
      String unit,
      Optional<Double> watch,
      Optional<Double> limit,
      List<TrendPoint> points,
      Optional<TrendLine> line) {}

  /** A reading. */
  public record TrendPoint(
      double hours, double value, String on, String by, boolean overdue, boolean lastOfPart) {}

  /**
   * The straight line through the readings of the life that runs now.
   *
   * @param fromHours where it begins
   * @param fromValue its value there
   * @param perThousand change in a thousand hours
   * @param crossing hours at which it crosses the limit; empty where it does not
   * @param say one sentence
   */
  public record TrendLine(
      double fromHours,
      double fromValue,
      double perThousand,
      Optional<Double> crossing,
      Optional<Double> earliest,
      Optional<Double> latest,
      String say) {}

  /** Without a gauge's own figure a reading is good to this share of its own size (shop rule). */
  private static final double TYPED_SHARE = 0.005;

  /** Beyond this a forecast says nothing that anyone plans by, h (shop rule). */
  private static final double LONG_HOURS = 50_000;

  private record Key(String subject, String measure, String unit) {}

  private final FindingMapper store;

  Trends(FindingMapper store) {
    this.store = store;
  }

  /** The trends of a pump, in the order of its sheet. */
  public List<TrendView> of(PumpRow pump, Sheet sheet) {
    Map<String, GaugeRow> gauges =
        store.gauges().stream().collect(Collectors.toMap(GaugeRow::id, g -> g));
    Map<Key, List<ReadingRow>> all = new LinkedHashMap<>();
    store
        .readings(pump.tag())
        .forEach(
            r ->
                all.computeIfAbsent(
                        new Key(r.subject(), r.measure(), r.unit()), k -> new ArrayList<>())
                    .add(r));
    List<TrendView> trends = new ArrayList<>();
    for (Part part : sheet.parts()) {
      for (Part.Limit l : part.limits()) {
        List<ReadingRow> rows = all.get(new Key(part.id(), l.measure(), l.unit()));
        if (rows != null) {
          Part.Edge edge = l.toward(rows.get(rows.size() - 1).reading());
          trends.add(
              trend(
                  part.name() + ", " + Text.words(l.measure()),
                  rows,
                  Optional.of(edge.watch()),
                  Optional.of(edge.renew()),
                  pump,
                  gauges));
        }
      }
    }
    for (Sheet.ProofTest t : sheet.proof()) {
      List<ReadingRow> rows = all.get(new Key(ReadingRow.PROOF, t.id(), t.unit()));
      if (rows != null) {
        trends.add(trend(t.ask(), rows, Optional.empty(), nearest(t, rows), pump, gauges));
      }
    }
    return trends;
  }

  /** The limit of a test that its readings go toward. */
  private static Optional<Double> nearest(Sheet.ProofTest t, List<ReadingRow> rows) {
    double first = rows.get(0).reading();
    double last = rows.get(rows.size() - 1).reading();
    if (t.min().isPresent() && t.max().isPresent()) {
      return last <= first ? t.min() : t.max();
    }
    return t.min().or(t::max);
  }

  private static TrendView trend(
      String title,
      List<ReadingRow> rows,
      Optional<Double> watch,
      Optional<Double> limit,
      PumpRow pump,
      Map<String, GaugeRow> gauges) {
    return new TrendView(
        title,
        rows.get(0).unit(),
        watch,
        limit,
        rows.stream()
            .map(
                r ->
                    new TrendPoint(
                        r.hours(),
                        r.reading(),
                        Text.day(r.takenAt().toLocalDate()),
                        r.gauge().isEmpty() ? r.who() : r.gauge() + ", " + r.who(),
                        r.overdue(),
                        r.lastOfPart()))
            .toList(),
        limit.flatMap(l -> line(thisLife(rows), l, pump, gauges)));
  }

  /** Readings since the part was last renewed. */
  private static List<ReadingRow> thisLife(List<ReadingRow> rows) {
    int from = 0;
    for (int i = 0; i < rows.size(); i++) {
      from = rows.get(i).lastOfPart() ? i + 1 : from;
    }
    return rows.subList(from, rows.size());
  }

  private static Optional<TrendLine> line(
      List<ReadingRow> rows, double limit, PumpRow pump, Map<String, GaugeRow> gauges) {
    List<Trend.Point> points =
        rows.stream()
            .map(r -> new Trend.Point(r.hours(), r.reading(), uncertainty(r, gauges)))
            .toList();
    if (points.stream().map(Trend.Point::hours).distinct().count() < 2) {
      return Optional.empty();
    }
    Trend trend = Trend.of(points, limit);
    double from = rows.get(0).hours();
    return Optional.of(
        new TrendLine(
            from,
            trend.atZero() + trend.perHour() * from,
            trend.perHour() * 1000,
            trend.crossing(),
            trend.earliest(),
            trend.latest(),
            say(trend, limit, rows.get(0).unit(), pump)));
  }

  private static double uncertainty(ReadingRow r, Map<String, GaugeRow> gauges) {
    return Optional.ofNullable(gauges.get(r.gauge()))
        .filter(g -> g.unit().equals(r.unit()))
        .map(GaugeRow::uncertainty)
        .orElse(TYPED_SHARE * Math.abs(r.reading()));
  }

  private static String say(Trend t, double limit, String unit, PumpRow pump) {
    if (t.crossing().isEmpty()) {
      return "It does not move toward its limit.";
    }
    double left = Math.max(0, t.crossing().get() - pump.runningHours());
    if (left > LONG_HOURS) {
      return "Hardly moves: over " + Text.plain(LONG_HOURS) + " h to its limit.";
    }
    String reaches =
        "Reaches "
            + Text.plain(limit)
            + " "
            + Text.unit(unit)
            + " in about "
            + Text.about(left)
            + " h";
    return t.earliest().isPresent()
        ? reaches
            + ", nine times in ten between "
            + Text.about(Math.max(0, t.earliest().get() - pump.runningHours()))
            + " and "
            + Text.about(Math.max(0, t.latest().orElseThrow() - pump.runningHours()))
            + " h from now."
        : reaches + "; the readings scatter too much to say how surely.";
  }
}
