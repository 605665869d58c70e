package isokinon.server.work.symptoms;

import isokinon.core.diagnosis.Belief;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.diagnosis.DiagnosisLibrary.Fault;
import isokinon.core.diagnosis.DiagnosisLibrary.QuickTest;
import isokinon.core.diagnosis.DiagnosisLibrary.Symptom;
import isokinon.core.diagnosis.Evidence;
import isokinon.core.diagnosis.TestChoice;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.plan.UnplannableRequest;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.symptoms.SymptomsView.AfterLine;
import isokinon.server.work.symptoms.SymptomsView.AnswerView;
import isokinon.server.work.symptoms.SymptomsView.FaultLine;
import isokinon.server.work.symptoms.SymptomsView.SymptomLine;
import isokinon.server.work.symptoms.SymptomsView.TestDone;
import isokinon.server.work.symptoms.SymptomsView.TestLine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Before the strip: what a pump does, what it may be, and the test that settles most. */
@Service
public class Symptoms {

  private static final double WORTH_NAMING_BITS = 0.4;
  private static final int SHOWN_AFTER = 3;

  /** From this chance on, stripping to a fault beats another test (shop rule). */
  private static final double SURE_ENOUGH = 0.6;

  private final PumpRegister pumps;
  private final Sheets sheets;
  private final ShopDiagnosis diagnosis;
  private final Jobs jobs;

  Symptoms(PumpRegister pumps, Sheets sheets, ShopDiagnosis diagnosis, Jobs jobs) {
    this.jobs = jobs;
    this.pumps = pumps;
    this.sheets = sheets;
    this.diagnosis = diagnosis;
  }

  /**
   * What a pump may have, with what is known so far.
   *
   * @throws RequestProblem where the pump is unknown, or a symptom or test is not one of its family
   */
  @Transactional(readOnly = true)
  public SymptomsView view(String tag, SymptomQuestion q) {
    PumpRow pump = pumps.pump(tag);
    Family family = pump.family();
    Optional<Sheet> sheet = pump.sheet().flatMap(sheets::find);
    DiagnosisLibrary all = diagnosis.library();
    DiagnosisLibrary known = sheet.map(all::on).orElse(all);
    Map<String, Integer> found = diagnosis.faultsFound(family);
    Map<Evidence, String> evidence = evidence(known, family, q);
    Optional<Rebuild> rebuilt = q.job().map(id -> rebuilt(tag, id));
    rebuilt.ifPresent(
        r -> evidence.put(known.justRebuilt(family, handled(r)), "it was just in the hands"));
    Belief base = known.faultsOf(family, found);
    Belief now = base.given(List.copyOf(evidence.keySet()));
    Map<String, Optional<Double>> minutes = new LinkedHashMap<>();
    known
        .faults(family)
        .forEach(f -> minutes.put(f.id(), sheet.flatMap(s -> stripMinutes(s, pump, f.parts()))));
    return new SymptomsView(
        tag,
        pump.dutyTitle() + (pump.dutyNote().isEmpty() ? "" : "; " + pump.dutyNote()),
        pump.series() + ", " + pump.material() + ", " + Text.plain(Math.rint(pump.age())) + " h",
        pump.family(),
        known.symptoms(family).stream().map(s -> line(s, q)).toList(),
        now.ranked().stream()
            .map(
                r ->
                    fault(
                        known.fault(r.id()).orElseThrow(),
                        base,
                        r,
                        evidence,
                        sheet,
                        minutes,
                        found))
            .toList(),
        tests(known, family, now, q, sheet, pump, minutes),
        done(known, family, q),
        rebuilt.map(Symptoms::missed),
        found.values().stream().mapToInt(Integer::intValue).sum(),
        sheet.isPresent(),
        sheet.map(s -> RailViewer.whole(s, pump)).orElse(List.of()));
  }

  private Rebuild rebuilt(String tag, long id) {
    Job job = jobs.job(id);
    if (!job.pump().tag().equals(tag)) {
      throw RequestProblem.notNow("job", "Job " + id + " is one of another pump.");
    }
    return job.rebuild();
  }

  /** Parts that were off in a job. */
  private static List<String> handled(Rebuild rebuild) {
    return Stream.concat(
            rebuild.plan().map(Plan::freed).orElse(List.of()).stream(),
            rebuild.renewedInAll().stream())
        .distinct()
        .toList();
  }

  /** What does not hold in the proof of a job, in words. */
  private static String missed(Rebuild rebuild) {
    return String.join(
        "; ",
        rebuild.sheet().proof().stream()
            .filter(rebuild::missed)
            .map(Sheet.ProofTest::ask)
            .toList());
  }

  private static SymptomLine line(Symptom s, SymptomQuestion q) {
    return new SymptomLine(
        s.id(),
        s.title(),
        s.say(),
        s.drawing(),
        q.seen().contains(s.id()) ? "seen" : q.not().contains(s.id()) ? "not" : "open");
  }

  private static Map<Evidence, String> evidence(
      DiagnosisLibrary known, Family family, SymptomQuestion q) {
    Map<Evidence, String> evidence = new LinkedHashMap<>();
    List<Symptom> symptoms = known.symptoms(family);
    for (boolean seen : new boolean[] {true, false}) {
      for (String id : seen ? q.seen() : q.not()) {
        Symptom s =
            symptoms.stream()
                .filter(x -> x.id().equals(id))
                .findFirst()
                .orElseThrow(
                    () ->
                        RequestProblem.notNow(
                            seen ? "seen" : "not", "This pump does not show " + id + "."));
        evidence.put(
            known.evidence(family, s, seen),
            (seen ? "" : "no ") + s.title().toLowerCase(Locale.ROOT));
      }
    }
    for (boolean yes : new boolean[] {true, false}) {
      for (String id : yes ? q.yes() : q.no()) {
        QuickTest t = test(known, family, id, yes ? "yes" : "no");
        evidence.put(
            known.evidence(family, t, yes), (yes ? t.yes() : t.no()).toLowerCase(Locale.ROOT));
      }
    }
    return evidence;
  }

  private static QuickTest test(DiagnosisLibrary known, Family family, String id, String path) {
    return known.tests(family).stream()
        .filter(x -> x.id().equals(id))
        .findFirst()
        .orElseThrow(() -> RequestProblem.notNow(path, "This pump has no test called " + id + "."));
  }

  private static FaultLine fault(
      Fault f,
      Belief base,
      Belief.Ranked now,
      Map<Evidence, String> evidence,
      Optional<Sheet> sheet,
      Map<String, Optional<Double>> minutes,
      Map<String, Integer> found) {
    List<String> raised = new ArrayList<>();
    List<String> lowered = new ArrayList<>();
    evidence.forEach(
        (e, say) -> {
          double bits = base.weightBits(e, f.id());
          if (bits > WORTH_NAMING_BITS) {
            raised.add(say);
          } else if (bits < -WORTH_NAMING_BITS) {
            lowered.add(say);
          }
        });
    List<Part> parts = sheet.map(s -> present(s, f.parts())).orElse(List.of());
    return new FaultLine(
        f.id(),
        f.title(),
        base.of(f.id()),
        now.chance(),
        raised,
        lowered,
        parts.stream().map(Part::id).toList(),
        f.parts().isEmpty() ? "outside the pump, no strip" : named(parts),
        minutes.get(f.id()),
        found.getOrDefault(f.id(), 0));
  }

  /** Parts in words; a name that has a comma in it is told apart by more than one. */
  private static String named(List<Part> parts) {
    List<String> names = parts.stream().map(p -> Text.inSentence(p.name())).toList();
    return String.join(names.stream().anyMatch(n -> n.contains(",")) ? "; " : ", ", names);
  }

  private static List<Part> present(Sheet sheet, List<String> ids) {
    return sheet.parts().stream().filter(p -> ids.contains(p.id())).toList();
  }

  /** Minutes of strip to free parts, from the plan; empty where the sheet has none of them. */
  private static Optional<Double> stripMinutes(Sheet sheet, PumpRow pump, List<String> ids) {
    Sheet followed = sheet.by(pump.madeBy());
    List<String> parts =
        present(followed, ids).stream()
            .filter(p -> p.goesWith(pump.material()))
            .map(Part::id)
            .filter(p -> followed.steps().stream().anyMatch(s -> s.opens().contains(p)))
            .toList();
    if (parts.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          new Planner()
                  .plan(followed, new PlanRequest(List.of(), parts, List.of(), List.of(), false))
                  .strip()
                  .stream()
                  .flatMap(s -> followed.step(s).stream())
                  .mapToDouble(Step::stripMinutes)
                  .sum());
    } catch (UnplannableRequest e) {
      return Optional.empty();
    }
  }

  private static List<TestLine> tests(
      DiagnosisLibrary known,
      Family family,
      Belief now,
      SymptomQuestion q,
      Optional<Sheet> sheet,
      PumpRow pump,
      Map<String, Optional<Double>> minutes) {
    List<QuickTest> open =
        known.tests(family).stream()
            .filter(t -> !q.yes().contains(t.id()) && !q.no().contains(t.id()))
            .toList();
    Map<String, Double> takes = new LinkedHashMap<>();
    open.forEach(
        t ->
            takes.put(
                t.id(),
                t.minutes() + sheet.flatMap(s -> stripMinutes(s, pump, t.parts())).orElse(0.0)));
    List<TestChoice> ranked = ranked(known, family, now, open, takes);
    double doubt = now.entropyBits();
    return ranked.stream()
        .map(
            n -> {
              QuickTest t = test(known, family, n.test().sign().id(), "test");
              List<QuickTest> left = open.stream().filter(x -> x != t).toList();
              return new TestLine(
                  t.id(),
                  t.title(),
                  t.how(),
                  t.kind(),
                  n.test().minutes(),
                  t.limit(),
                  t.caution(),
                  doubt <= 0 ? 0 : n.gainBits() / doubt,
                  answer(
                      known,
                      family,
                      t.yes(),
                      n.chanceOfYes(),
                      now,
                      n.afterYes(),
                      left,
                      takes,
                      minutes),
                  answer(
                      known,
                      family,
                      t.no(),
                      1 - n.chanceOfYes(),
                      now,
                      n.afterNo(),
                      left,
                      takes,
                      minutes));
            })
        .toList();
  }

  private static List<TestChoice> ranked(
      DiagnosisLibrary known,
      Family family,
      Belief belief,
      List<QuickTest> tests,
      Map<String, Double> takes) {
    return TestChoice.ranked(
        belief,
        tests.stream()
            .map(
                t ->
                    new TestChoice.Test(
                        known.evidence(family, t, true), takes.get(t.id()), t.kind()))
            .toList());
  }

  private static AnswerView answer(
      DiagnosisLibrary known,
      Family family,
      String say,
      double chance,
      Belief before,
      Belief after,
      List<QuickTest> left,
      Map<String, Double> takes,
      Map<String, Optional<Double>> minutes) {
    Belief.Ranked first = after.ranked().get(0);
    List<TestChoice> next = ranked(known, family, after, left, takes);
    String title = known.fault(first.id()).map(Fault::title).orElse("");
    boolean goThere =
        first.chance() >= SURE_ENOUGH
            || next.isEmpty()
            || next.get(0).gainBits() < TestChoice.LEAST_BITS;
    String then =
        !goThere
            ? "Then: "
                + test(known, family, next.get(0).test().sign().id(), "test")
                    .title()
                    .toLowerCase(Locale.ROOT)
            : minutes
                .get(first.id())
                .map(
                    m ->
                        "Then strip to it, "
                            + Math.round(m)
                            + " min: "
                            + title.toLowerCase(Locale.ROOT))
                .orElse("Then mend it outside the pump: " + title.toLowerCase(Locale.ROOT));
    return new AnswerView(
        say,
        chance,
        after.ranked().stream()
            .limit(SHOWN_AFTER)
            .map(
                r ->
                    new AfterLine(
                        r.id(),
                        known.fault(r.id()).map(Fault::title).orElse(""),
                        before.of(r.id()),
                        r.chance()))
            .toList(),
        then);
  }

  private static List<TestDone> done(DiagnosisLibrary known, Family family, SymptomQuestion q) {
    List<TestDone> done = new ArrayList<>();
    q.yes()
        .forEach(
            id -> {
              QuickTest t = test(known, family, id, "yes");
              done.add(new TestDone(id, t.title(), t.yes(), true));
            });
    q.no()
        .forEach(
            id -> {
              QuickTest t = test(known, family, id, "no");
              done.add(new TestDone(id, t.title(), t.no(), false));
            });
    return done;
  }
}
