package isokinon.server.papers;

import isokinon.core.value.Source;
import isokinon.server.papers.Paper.Table;
import isokinon.server.work.photographs.PrintedPhotograph;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.JobRecord;
import isokinon.server.work.stages.StageView;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The record that goes back with the pump: what was found, renewed, torqued and proved. */
@Component
public class HandBackRecord {

  private final Paper paper;

  HandBackRecord(Paper paper) {
    this.paper = paper;
  }

  /** The record of {@code view} as a PDF, with its photographs. */
  public byte[] pdf(JobRecord view, List<PrintedPhotograph> photographs) {
    Map<String, Object> values = values(view);
    values.put(
        "photographs",
        Paper.rows(photographs.stream().map(HandBackRecord::photograph).toList(), IN_A_ROW));
    return paper.pdf("record", view.pump().tag() + " rebuild " + view.id(), values);
  }

  /** Photographs beside each other on A4: a crack of 0.3 mm still shows. */
  private static final int IN_A_ROW = 2;

  /**
   * A photograph on paper.
   *
   * @param source the picture as a data address
   */
  public record Photograph(String title, String caption, String source) {}

  private static Photograph photograph(PrintedPhotograph p) {
    return new Photograph(p.title(), p.caption(), Paper.image("jpeg", p.jpeg()));
  }

  private static Map<String, Object> values(JobRecord v) {
    Map<String, Object> values = new HashMap<>();
    values.put("tag", v.pump().tag());
    values.put("duty", v.pump().duty());
    values.put("fitted", v.pump().fitted() + " " + v.pump().series());
    values.put(
        "sheet",
        "Rebuild "
            + v.id()
            + ", sheet "
            + v.sheet().id()
            + " revision "
            + v.sheet().revision()
            + ". "
            + v.sheet().note()
            + (v.sheet().manual().isEmpty() ? "" : " Manual: " + v.sheet().manual() + "."));
    values.put("open", v.open());
    values.put("gates", new Table(List.of("Energy", "Proved by", "Reading", "Who"), gates(v)));
    values.put("told", v.fault().told());
    values.put("fault", v.fault().said());
    values.put(
        "found",
        new Table(
            List.of("Part", "Judged", "Measured and seen", "Limits", "Why it wore"), found(v)));
    values.put("renewed", new Table(List.of("Part", "Number", "Why", "Lot"), renewed(v)));
    values.put("joints", new Table(List.of("Joint", "Asked", "Read, bolt by bolt"), joints(v)));
    values.put("proved", new Table(List.of("Test", "Limit", "Reading", "Who"), proved(v)));
    values.put("retorques", v.handBack().retorques());
    values.put("retired", v.handBack().retired());
    values.put("consumed", v.handBack().consumed());
    values.put("watched", v.handBack().watched());
    values.put("nextDue", v.handBack().nextDue());
    values.put("signedOff", v.handBack().signedOff().map(s -> s.who() + ", " + s.at()).orElse(""));
    values.put("chain", v.chain());
    values.put("entries", v.log().size());
    values.put("done", new Table(List.of("When", "Who", "What"), done(v)));
    return values;
  }

  private static List<List<String>> gates(JobRecord v) {
    return v.gates().stream()
        .map(
            g ->
                List.of(
                    g.title(),
                    g.ask(),
                    g.value()
                        .map(x -> Text.plain(x) + " " + g.unit())
                        .orElse(g.answered() ? "confirmed" : "open"),
                    g.by() + " " + g.at()))
        .toList();
  }

  private static List<List<String>> found(JobRecord v) {
    return v.found().stream()
        .map(
            i ->
                List.of(
                    i.name(),
                    i.state().code(),
                    i.measured().isEmpty() ? i.because() : i.measured(),
                    limits(i.limits()),
                    i.cause()))
        .toList();
  }

  /** Limits, those of one source together with it. */
  private static String limits(List<StageView.LimitView> limits) {
    Map<Source, String> bySource =
        limits.stream()
            .collect(
                Collectors.groupingBy(
                    StageView.LimitView::source,
                    LinkedHashMap::new,
                    Collectors.mapping(HandBackRecord::limit, Collectors.joining("; "))));
    return bySource.entrySet().stream()
        .map(e -> e.getValue() + ", " + Text.source(e.getKey()))
        .collect(Collectors.joining("; "));
  }

  private static String limit(StageView.LimitView l) {
    return l.name().toLowerCase(Locale.ROOT)
        + " "
        + edge(l.watch(), l.renew())
        + l.above().map(a -> ", " + edge(a.watch(), a.renew())).orElse("")
        + " "
        + Text.unit(l.unit());
  }

  private static String edge(double watch, double renew) {
    return Text.plain(watch) + " / " + Text.plain(renew);
  }

  private static List<List<String>> renewed(JobRecord v) {
    return v.renewed().stream()
        .map(
            p ->
                List.of(
                    p.name(), Integer.toString(p.count()), p.because(), p.lot().orElse("no lot")))
        .toList();
  }

  private static List<List<String>> joints(JobRecord v) {
    return v.handBack().joints().stream()
        .map(j -> List.of(j.step(), j.asked() + ", " + Text.source(j.source()), j.readings()))
        .toList();
  }

  private static List<List<String>> done(JobRecord v) {
    return v.log().stream().map(l -> List.of(l.at(), l.who(), l.say())).toList();
  }

  private static List<List<String>> proved(JobRecord v) {
    return v.proof().stream()
        .map(
            t ->
                List.of(
                    t.ask(),
                    limit(t),
                    t.value()
                            .map(x -> Text.plain(x) + " " + t.unit())
                            .orElse(t.answered() ? "confirmed" : "open")
                        + (t.answered() && !t.passed() ? ", missed" : "")
                        + (t.says().isEmpty() ? "" : ". " + t.says()),
                    t.by()))
        .toList();
  }

  private static String limit(StageView.ProofView t) {
    String least = t.min().map(m -> "at least " + Text.plain(m)).orElse("");
    String most = t.max().map(m -> "at most " + Text.plain(m)).orElse("");
    String limit = (least + " " + most).strip();
    return limit.isEmpty()
        ? ""
        : limit + (t.unit().isEmpty() ? "" : " " + t.unit()) + ", " + Text.source(t.source());
  }
}
