package isokinon.server.work.rebuild;

import isokinon.core.act.GaugeUse;
import isokinon.core.act.Measurement;
import isokinon.core.act.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The columns of an act in the table of events. Which of them count depends on the kind; they have
 * been the same since the first version, so that every event ever recorded can be read.
 *
 * @param kind name of the kind
 * @param step step, or the measure of a part
 * @param subject what it is about: a part, a test, a role, a lot
 * @param pass torque pass, from 1; 0 otherwise
 * @param fastener from 1; 0 otherwise
 * @param reading number that was read
 * @param text what was typed in words
 * @param items a list, each with a word before it that says what it is
 */
record ActColumns(
    StoredKind kind,
    String step,
    String subject,
    int pass,
    int fastener,
    Optional<Reading> reading,
    String text,
    List<String> items) {

  static ActColumns of(StoredKind kind, String step, String subject) {
    return new ActColumns(kind, step, subject, 0, 0, Optional.empty(), "", List.of());
  }

  ActColumns read(Optional<Reading> number) {
    return new ActColumns(kind, step, subject, pass, fastener, number, text, items);
  }

  ActColumns on(int inPass, int ofFastener) {
    return new ActColumns(kind, step, subject, inPass, ofFastener, reading, text, items);
  }

  ActColumns saying(String words) {
    return new ActColumns(kind, step, subject, pass, fastener, reading, words, items);
  }

  /** The same with more items. */
  ActColumns and(List<String> more) {
    List<String> all = new ArrayList<>(items);
    all.addAll(more);
    return new ActColumns(kind, step, subject, pass, fastener, reading, text, all);
  }

  /** The same with more items, each after {@code word}. */
  ActColumns and(String word, List<String> more) {
    return and(more.stream().map(m -> word + m).toList());
  }

  /** The same with the gauge of its reading. */
  ActColumns with(Optional<GaugeUse> gauge) {
    return gauge
        .map(
            g ->
                and(List.of(Items.GAUGE + g.id()))
                    .and(g.overdue() ? List.of(Items.OVERDUE) : List.of()))
        .orElse(this);
  }

  /** The same with readings of a part: the first in the columns, others among the items. */
  ActColumns measuring(List<Measurement> measurements) {
    if (measurements.isEmpty()) {
      return this;
    }
    Measurement first = measurements.get(0);
    return new ActColumns(
            kind,
            first.measure(),
            subject,
            pass,
            fastener,
            Optional.of(first.reading()),
            text,
            items)
        .with(first.gauge())
        .and(Items.READ, measurements.stream().skip(1).map(ActColumns::written).toList());
  }

  private static String written(Measurement m) {
    return String.join(
        Items.FIELD,
        m.measure(),
        Double.toString(m.reading().value()),
        m.reading().unit(),
        m.gauge().map(GaugeUse::id).orElse(""),
        m.gauge().filter(GaugeUse::overdue).map(g -> Items.OVERDUE).orElse(""));
  }

  private static Measurement measurement(String written) {
    String[] field = written.split("\\" + Items.FIELD, -1);
    return new Measurement(
        field[0],
        new Reading(Double.parseDouble(field[1]), field[2]),
        Optional.of(field[3])
            .filter(g -> !g.isEmpty())
            .map(g -> new GaugeUse(g, field[4].equals(Items.OVERDUE))));
  }

  /** Readings of a part; none where nothing was measured. */
  List<Measurement> measurements() {
    List<Measurement> all = new ArrayList<>();
    if (!step.isEmpty()) {
      reading.ifPresent(r -> all.add(new Measurement(step, r, gauge())));
    }
    after(Items.READ).forEach(i -> all.add(measurement(i)));
    return all;
  }

  /** The gauge of the reading in the columns. */
  Optional<GaugeUse> gauge() {
    return after(Items.GAUGE).stream()
        .findFirst()
        .map(id -> new GaugeUse(id, items.contains(Items.OVERDUE)));
  }

  /** What stands after {@code word} in the items that begin with it. */
  List<String> after(String word) {
    return items.stream()
        .filter(i -> i.startsWith(word))
        .map(i -> i.substring(word.length()))
        .toList();
  }

  /** What stands after {@code word} in the first item that begins with it. */
  Optional<String> first(String word) {
    return after(word).stream().findFirst();
  }
}
