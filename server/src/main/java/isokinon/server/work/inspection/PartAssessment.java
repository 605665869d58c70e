package isokinon.server.work.inspection;

import isokinon.core.act.GaugeUse;
import isokinon.core.act.PartAct;
import isokinon.core.act.PartReading;
import isokinon.core.diagnosis.DiagnosisLibrary.Signature;
import isokinon.core.inspect.ComparedReadings;
import isokinon.core.inspect.Outcome;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.server.work.inspection.FindingView.CauseSaid;
import isokinon.server.work.inspection.FindingView.CauseView;
import isokinon.server.work.inspection.FindingView.Fact;
import isokinon.server.work.inspection.FindingView.MeasureView;
import isokinon.server.work.inspection.FindingView.SignView;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * From a look and a gauge to a decision: gathers what is known of a part in hand and asks core what
 * it makes of it.
 */
@Component
public class PartAssessment {

  private final ShopDiagnosis diagnosis;
  private final Causes causes;
  private final PartFacts facts;
  private final NextLooks nextLooks;

  PartAssessment(ShopDiagnosis diagnosis, Causes causes, PartFacts facts, NextLooks nextLooks) {
    this.diagnosis = diagnosis;
    this.causes = causes;
    this.facts = facts;
    this.nextLooks = nextLooks;
  }

  /**
   * What is known of a part in hand.
   *
   * @param q the signatures pressed so far
   * @param zone of the shop's clock
   * @throws RequestProblem where the sheet has no such part
   */
  public FindingView view(Job job, FindingView.FindingQuestion q, ZoneId zone) {
    Rebuild rebuild = job.rebuild();
    Part part =
        rebuild
            .sheet()
            .part(q.part() == null ? "" : q.part())
            .orElseThrow(() -> RequestProblem.notNow("part", "The sheet knows no such part."));
    List<String> signs = q.signs() == null ? List.of() : q.signs();
    List<SignView> looks = looks(part, signs);
    List<Signature> seen =
        signs.stream().flatMap(s -> diagnosis.library().signature(s).stream()).toList();
    Map<String, Double> readings = readings(rebuild, part);
    Outcome outcome = Outcome.of(part, readings, seen, compared(rebuild, part, readings));
    List<Fact> computed = facts.of(job, part);
    Verdict verdict =
        computed.stream()
            .map(Fact::verdict)
            .max(Comparator.naturalOrder())
            .filter(v -> v.compareTo(outcome.verdict()) > 0)
            .orElse(outcome.verdict());
    Optional<CauseSaid> said = rebuild.cause(part.id()).map(e -> causes.said(e, zone));
    List<CauseView> why =
        seen.isEmpty() && outcome.verdict() == Verdict.SOUND
            ? List.of()
            : causes.of(job, part, looks, seen, readings);
    return new FindingView(
        part.id(),
        looks,
        part.limits().stream().map(l -> measure(job, part, l)).toList(),
        verdict,
        outcome.because(),
        computed,
        why,
        causes.again(job.pump(), said.flatMap(CauseSaid::id), job.row().id()),
        nextLooks.next(job, Optional.of(part).filter(p -> verdict == Verdict.WATCH)),
        said);
  }

  private List<SignView> looks(Part part, List<String> signs) {
    Map<String, SignView> looks = new LinkedHashMap<>();
    for (String look : part.look()) {
      diagnosis
          .library()
          .meantBy(look)
          .ifPresent(
              s ->
                  looks.putIfAbsent(
                      s.id(),
                      new SignView(
                          s.id(),
                          s.title(),
                          s.say(),
                          look,
                          part.condemns().contains(s.id()) ? Verdict.RENEW : s.outcome(),
                          signs.contains(s.id()))));
    }
    return List.copyOf(looks.values());
  }

  static Map<String, Double> readings(Rebuild rebuild, Part part) {
    Map<String, Double> readings = new LinkedHashMap<>();
    rebuild
        .readings(part.id())
        .forEach((m, r) -> readings.put(m, r.measurement().reading().value()));
    return readings;
  }

  /** The outcome of a part from what was recorded of it and what a judgement adds. */
  Outcome outcome(Rebuild rebuild, Part part, PartAct.Judged judged) {
    Map<String, Double> readings = readings(rebuild, part);
    judged.measurements().forEach(m -> readings.put(m.measure(), m.reading().value()));
    return Outcome.of(
        part,
        readings,
        judged.signs().stream().flatMap(s -> diagnosis.library().signature(s).stream()).toList(),
        compared(rebuild, part, readings));
  }

  /** What readings held against those of other parts make of it. */
  private static List<Outcome.Reason> compared(
      Rebuild rebuild, Part part, Map<String, Double> own) {
    return ComparedReadings.of(
        rebuild.sheet(),
        part.id(),
        id ->
            id.equals(part.id())
                ? own
                : rebuild.sheet().part(id).map(p -> readings(rebuild, p)).orElse(Map.of()));
  }

  private MeasureView measure(Job job, Part part, Part.Limit l) {
    Optional<PartReading> read =
        Optional.ofNullable(job.rebuild().readings(part.id()).get(l.measure()));
    Optional<GaugeUse> gauge = read.flatMap(r -> r.measurement().gauge());
    return new MeasureView(
        l.measure(),
        Text.sentence(Text.words(l.measure())),
        l.unit(),
        l.asNew(),
        l.edge().watch(),
        l.edge().renew(),
        l.above(),
        l.eitherWay(),
        read.map(r -> r.measurement().reading().value()),
        read.map(r -> by(r.who(), gauge)).orElse(""),
        gauge.filter(GaugeUse::overdue).isPresent(),
        nextLooks
            .before(job, part, l)
            .map(
                r ->
                    Text.plain(r.reading())
                        + " "
                        + r.unit()
                        + " at "
                        + Text.plain(Math.rint(r.hours()))
                        + " h")
            .orElse(""),
        l.source());
  }

  /** Who read it, with which gauge, and whether that was out of calibration. */
  public static String by(String who, Optional<GaugeUse> gauge) {
    return gauge.map(g -> g.id() + ", ").orElse("")
        + who
        + (gauge.filter(GaugeUse::overdue).isPresent() ? ", gauge out of calibration" : "");
  }

  /** A cause and what was seen, in words for the history of the part. */
  public String causeWords(PartAct.CauseFound found, String seen) {
    String title = found.cause().flatMap(diagnosis.library()::cause).map(c -> c.title()).orElse("");
    return title.isEmpty() ? seen : seen.isBlank() ? title : title + ": " + seen;
  }
}
