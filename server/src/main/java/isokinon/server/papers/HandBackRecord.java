package isokinon.server.papers;

import static isokinon.server.papers.Paper.list;
import static isokinon.server.papers.Paper.section;
import static isokinon.server.papers.Paper.table;
import static isokinon.server.papers.Paper.text;

import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.JobRecord;
import isokinon.server.work.stages.StageView;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The record that goes back with the pump: what was found, renewed, torqued and proved. */
@Component
public class HandBackRecord {

  private final Paper paper;

  HandBackRecord(Paper paper) {
    this.paper = paper;
  }

  /** The record of {@code view} as a PDF. */
  public byte[] pdf(JobRecord view) {
    return paper.pdf(view.pump().tag() + " rebuild " + view.id(), body(view));
  }

  private static String body(JobRecord v) {
    return "<h1>"
        + text(v.pump().tag())
        + "</h1><p>"
        + text(v.pump().duty())
        + "</p><p class='soft'>"
        + text(v.pump().fitted() + " " + v.pump().series())
        + "</p><p class='soft'>Rebuild "
        + v.id()
        + ", sheet "
        + text(v.sheet().id())
        + " revision "
        + v.sheet().revision()
        + ". "
        + text(v.sheet().note())
        + "</p>"
        + (v.open() ? "<p><b>Not handed back yet: this is the record so far.</b></p>" : "")
        + "<p class='first'>The maker's manual and the site's own procedure come before this record"
        + " and its sheet. Electrical and pressure-retaining work belongs to people licensed for"
        + " it.</p>"
        + section("Made safe", table(List.of("Energy", "Proved by", "Reading", "Who"), gates(v)))
        + section("Came with", list(v.fault().told(), "No symptom was told."))
        + (v.fault().said().isEmpty() ? "" : "<p>It was: " + text(v.fault().said()) + "</p>")
        + section(
            "Found",
            table(
                List.of("Part", "Judged", "Measured and seen", "Limits", "Why it wore"), found(v)))
        + section("Renewed", table(List.of("Part", "Number", "Why", "Lot"), renewed(v)))
        + section("Torque, N·m", table(List.of("Joint", "Asked", "Read, bolt by bolt"), joints(v)))
        + section("Proved", table(List.of("Test", "Limit", "Reading", "Who"), proved(v)))
        + section("To do later", list(v.handBack().retorques(), "Nothing to retorque."))
        + section("Taken out", list(v.handBack().retired(), "Nothing was taken out sound."))
        + section("Watch", list(v.handBack().watched(), "No part went back on watch."))
        + "<h2>Next due</h2><p>"
        + text(v.handBack().nextDue())
        + "</p><div class='log'>"
        + section("Everything that was done", table(List.of("When", "Who", "What"), done(v)))
        + "</div>";
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
                    i.limits().stream()
                        .map(
                            l ->
                                l.name().toLowerCase(Locale.ROOT)
                                    + " "
                                    + Text.plain(l.watch())
                                    + " / "
                                    + Text.plain(l.renew())
                                    + " "
                                    + Text.unit(l.unit()))
                        .collect(Collectors.joining("; ")),
                    i.cause()))
        .toList();
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
        .map(j -> List.of(j.step(), j.asked(), j.readings()))
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
    return (least + " " + most).strip() + (t.unit().isEmpty() ? "" : " " + t.unit());
  }
}
