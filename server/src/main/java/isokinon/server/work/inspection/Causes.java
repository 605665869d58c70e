package isokinon.server.work.inspection;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.PartAct;
import isokinon.core.diagnosis.Belief;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.diagnosis.DiagnosisLibrary.Cause;
import isokinon.core.diagnosis.DiagnosisLibrary.Signature;
import isokinon.core.diagnosis.Evidence;
import isokinon.core.material.Material;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import isokinon.core.wear.Hardness;
import isokinon.core.wear.Measures;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.server.db.findings.CauseRow;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.inspection.FindingView.CauseSaid;
import isokinon.server.work.inspection.FindingView.CauseView;
import isokinon.server.work.inspection.FindingView.CounterView;
import isokinon.server.work.inspection.FindingView.SignView;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Why a part wore: base rates of the family and of this shop, changed by all that is known. */
@Component
public class Causes {

  /** Under this many bits a sighting is not worth naming. */
  private static final double WORTH_NAMING_BITS = 0.4;

  private static final int SHOWN = 5;
  private static final double NEAR_K = 5;
  private static final double HIGH_LIFT_M = 2;
  private static final double NEAR_PRESSURE = 0.8;
  private static final double EARLY = 0.5;

  private final ShopDiagnosis diagnosis;
  private final ShopLibrary library;
  private final FittedWetEnds wetEnds;
  private final PumpMapper pumps;
  private final FindingMapper store;

  Causes(
      ShopDiagnosis diagnosis,
      ShopLibrary library,
      FittedWetEnds wetEnds,
      PumpMapper pumps,
      FindingMapper store) {
    this.diagnosis = diagnosis;
    this.library = library;
    this.wetEnds = wetEnds;
    this.pumps = pumps;
    this.store = store;
  }

  /** Causes of a part's wear, the likeliest first. */
  List<CauseView> of(
      Job job,
      Part part,
      List<SignView> looks,
      List<Signature> seen,
      Map<String, Double> readings) {
    DiagnosisLibrary known = diagnosis.library();
    Belief base =
        known.causesOf(
            job.rebuild().sheet().family(), diagnosis.causesFound(job.rebuild().sheet().family()));
    Map<Evidence, String> evidence = new LinkedHashMap<>();
    seen.forEach(s -> evidence.put(s.evidence(true), s.title().toLowerCase(Locale.ROOT)));
    if (!seen.isEmpty()) {
      looks.stream()
          .filter(l -> !l.seen())
          .flatMap(l -> known.signature(l.id()).stream())
          .forEach(
              s -> evidence.put(s.evidence(false), "not " + s.title().toLowerCase(Locale.ROOT)));
    }
    clues(job, part, readings)
        .forEach(
            (id, holds) ->
                known
                    .clue(id)
                    .ifPresent(
                        c -> evidence.put(c.evidence(holds), holds ? c.say() : c.against())));
    Belief now = base.given(List.copyOf(evidence.keySet()));
    return now.ranked().stream()
        .limit(SHOWN)
        .map(
            r ->
                cause(
                    known.cause(r.id()).orElseThrow(), base.of(r.id()), r.chance(), base, evidence))
        .toList();
  }

  private CauseView cause(
      Cause cause, double before, double chance, Belief base, Map<Evidence, String> evidence) {
    List<String> raised = new ArrayList<>();
    List<String> lowered = new ArrayList<>();
    evidence.entrySet().stream()
        .sorted(Comparator.comparing(e -> -Math.abs(base.weightBits(e.getKey(), cause.id()))))
        .forEach(
            e -> {
              double bits = base.weightBits(e.getKey(), cause.id());
              if (bits > WORTH_NAMING_BITS) {
                raised.add(e.getValue());
              } else if (bits < -WORTH_NAMING_BITS) {
                lowered.add(e.getValue());
              }
            });
    return new CauseView(
        cause.id(),
        cause.title(),
        cause.say(),
        cause.outside(),
        before,
        chance,
        raised,
        lowered,
        cause.counters().stream()
            .flatMap(c -> diagnosis.library().counter(c).stream())
            .map(c -> new CounterView(c.id(), c.title(), c.say()))
            .toList());
  }

  /** What duty, readings and age say, as far as it is known: clue to whether it holds. */
  private Map<String, Boolean> clues(Job job, Part part, Map<String, Double> readings) {
    PumpRow pump = job.pump();
    WetEndRow wetEnd = wetEnds.of(pump.tag());
    Map<String, Boolean> clues = new LinkedHashMap<>();
    clues.put("duty:solids", pump.abrasion() != Duty.Abrasion.NONE);
    clues.put("duty:lift", pump.suctionLiftM() > HIGH_LIFT_M);
    if (wetEnd.runsDry() != null) {
      clues.put("duty:dry", wetEnd.runsDry());
    }
    material(job, part)
        .ifPresent(
            m -> {
              Rating rating = library.rater().rate(duty(pump, wetEnd), m);
              boolean known = rating.verdict() != Rating.Verdict.UNKNOWN;
              if (known) {
                clues.put("duty:limited", rating.verdict() != Rating.Verdict.SUITED);
              }
              rating.marginK().ifPresent(k -> clues.put("duty:hot", k < NEAR_K));
              if (wetEnd.pressureBar() != null && m.maxBar().isPresent()) {
                clues.put("duty:pressure", wetEnd.pressureBar() > NEAR_PRESSURE * m.maxBar().get());
              }
            });
    Double hardness = readings.get(Measures.HARDNESS_CHANGE);
    if (hardness != null) {
      Hardness.Way way = Hardness.of(hardness).way();
      clues.put("reading:softer", way == Hardness.Way.SOFTER);
      clues.put("reading:harder", way == Hardness.Way.HARDER);
    }
    for (Part.Limit l : part.limits()) {
      Double value = readings.get(l.measure());
      if (value != null && l.measure().equals(Measures.SWELL)) {
        clues.put("reading:swollen", value > 0 && l.judge(value) != Verdict.SOUND);
      } else if (value != null && l.measure().equals(Measures.PULL_OFF_TORQUE)) {
        clues.put("reading:weak", l.judge(value) != Verdict.SOUND);
      } else if (value != null && !l.eitherWay()) {
        clues.merge("reading:worn", l.judge(value) != Verdict.SOUND, Boolean::logicalOr);
      }
    }
    if (part.role().equals(Optional.of(pump.role()))) {
      clues.put("age:early", pump.age() < EARLY * pump.intervalHours());
      clues.put("age:late", pump.age() >= pump.intervalHours());
    }
    return clues;
  }

  /** The material of a part as it came out, as far as it is written down. */
  private Optional<Material> material(Job job, Part part) {
    return part.role()
        .map(
            r ->
                r.equals(job.pump().role())
                    ? job.rebuild().fitted().material()
                    : wetEnds.materials(job.pump()).getOrDefault(r, ""))
        .flatMap(code -> library.materials().material(code));
  }

  private Duty duty(PumpRow pump, WetEndRow wetEnd) {
    return DutyForm.of(pump, pumps.exposures(pump.tag()), wetEnd, library).duty(library);
  }

  /** Causes found on a pump, the last first. */
  public List<FoundCause> found(String tag, Optional<Sheet> sheet) {
    return store.causes(tag).stream()
        .map(
            c ->
                new FoundCause(
                    Text.day(c.foundAt().toLocalDate()),
                    sheet
                        .flatMap(s -> s.part(c.part()))
                        .map(Part::name)
                        .orElse(Text.sentence(c.part())),
                    diagnosis.library().cause(c.cause()).map(Cause::title).orElse(c.cause()),
                    String.join(", ", counters(c.counters())),
                    c.hours(),
                    c.note()))
        .toList();
  }

  /** The same cause on this pump before, as a sentence. */
  String again(PumpRow pump, Optional<String> cause, long rebuild) {
    if (cause.isEmpty()) {
      return "";
    }
    List<CauseRow> before =
        store.causes(pump.tag()).stream()
            .filter(c -> c.cause().equals(cause.get()))
            .filter(c -> c.rebuild() == null || c.rebuild() != rebuild)
            .toList();
    if (before.isEmpty()) {
      return "";
    }
    String title = diagnosis.library().cause(cause.get()).map(Cause::title).orElse(cause.get());
    String done =
        counters(before.get(0).counters()).isEmpty()
            ? "nothing was done about it then"
            : String.join(", ", counters(before.get(0).counters())) + " was done then";
    return title
        + " again on "
        + pump.tag()
        + ": "
        + Text.count(before.size(), "time").replace("1 time", "once")
        + " before, last on "
        + Text.day(before.get(0).foundAt().toLocalDate())
        + "; "
        + done
        + ".";
  }

  private List<String> counters(String ids) {
    return ids.isEmpty()
        ? List.of()
        : List.of(ids.split("\\|")).stream()
            .flatMap(c -> diagnosis.library().counter(c).stream())
            .map(c -> c.title().toLowerCase(Locale.ROOT))
            .toList();
  }

  CauseSaid said(BenchEvent<PartAct.CauseFound> e, ZoneId zone) {
    return new CauseSaid(
        e.act().cause(),
        e.act().cause().flatMap(diagnosis.library()::cause).map(Cause::title).orElse("Not known"),
        e.act().counters().stream()
            .flatMap(c -> diagnosis.library().counter(c).stream())
            .map(DiagnosisLibrary.Counter::title)
            .toList(),
        e.act().note(),
        e.who(),
        Text.day(LocalDate.ofInstant(e.at(), zone)));
  }
}
