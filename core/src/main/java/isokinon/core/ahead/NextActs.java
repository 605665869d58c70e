package isokinon.core.ahead;

import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What the stage in hand asks for now: all that may be answered in any order, and only then what
 * comes after it.
 */
final class NextActs {

  private final Rebuild rebuild;

  NextActs(Rebuild rebuild) {
    this.rebuild = rebuild;
  }

  List<Coming> all() {
    return switch (rebuild.stage()) {
      case MAKE_SAFE -> orDone(gates(), Stage.MAKE_SAFE);
      case STRIP, BUILD -> rebuild.currentStep().map(this::step).orElse(List.of());
      case INSPECT -> orDone(parts(), Stage.INSPECT);
      case DECIDE -> List.of(Coming.of(new JobAct.StageDone(Stage.DECIDE)));
      case PROVE -> orDone(test(), Stage.PROVE);
      case TAKE_IN, HAND_BACK, CLOSED -> List.of();
    };
  }

  private static List<Coming> orDone(List<Coming> open, Stage stage) {
    return open.isEmpty() ? List.of(Coming.of(new JobAct.StageDone(stage))) : open;
  }

  // ---- the gate --------------------------------------------------------------------------------

  private List<Coming> gates() {
    List<String> open = rebuild.openGates();
    Stream<Coming> energies =
        rebuild.hazards().stream().filter(h -> open.contains(h.id())).map(NextActs::energy);
    Stream<Coming> confirmations =
        Rebuild.CONFIRMATIONS.keySet().stream()
            .filter(open::contains)
            .map(c -> Coming.of(new JobAct.Confirmed(c)));
    return Stream.concat(energies, confirmations).toList();
  }

  private static Coming energy(Sheet.Hazard hazard) {
    if (hazard.kind() == Handling.Answer.CONFIRM) {
      return Coming.of(new JobAct.ProvedSafe(hazard.id(), Optional.empty()));
    }
    return Coming.reading(
        edges(hazard.min(), hazard.max()),
        Coming.within(hazard.min(), hazard.max()),
        v -> new JobAct.ProvedSafe(hazard.id(), Optional.of(new Reading(v, hazard.unit()))));
  }

  private static List<Double> edges(Optional<Double> min, Optional<Double> max) {
    return Stream.concat(min.stream(), max.stream()).toList();
  }

  // ---- a step ----------------------------------------------------------------------------------

  private List<Coming> step(String step) {
    List<Coming> open = new ArrayList<>();
    if (rebuild.stage() == Stage.BUILD) {
      MatchedParts.toPlace(rebuild, step).stream()
          .filter(place -> !rebuild.placed().containsKey(place))
          .forEach(place -> open.add(Coming.of(new StepAct.Placed(step, place, place))));
    }
    rebuild.checks(step).stream()
        .filter(c -> rebuild.open(step, c).filter(o -> o != Rebuild.Open.SECOND_PERSON).isPresent())
        .forEach(c -> open.add(check(step, c)));
    if (!open.isEmpty()) {
      return open;
    }
    return rebuild.stage() == Stage.BUILD
        ? rebuild
            .torque(step)
            .filter(t -> !t.finished())
            .map(t -> torque(step, t))
            .orElse(stepDone(step))
        : stepDone(step);
  }

  private static List<Coming> stepDone(String step) {
    return List.of(Coming.of(new StepAct.StepDone(step, "")));
  }

  private Coming check(String step, Handling.Check check) {
    if (check.kind() == Handling.Answer.CONFIRM) {
      return Coming.of(new StepAct.Checked(step, check.id(), Optional.empty(), ""));
    }
    Optional<Double> mark = rebuild.markReading(check);
    double within = check.within().orElse(0.0);
    List<Double> edges = new ArrayList<>(edges(check.min(), check.max()));
    mark.ifPresent(m -> edges.addAll(List.of(m - within, m + within)));
    return Coming.reading(
        edges,
        mark.orElse(Coming.within(check.min(), check.max())),
        v -> new StepAct.Checked(step, check.id(), Optional.of(new Reading(v, check.unit())), ""));
  }

  private List<Coming> torque(String step, TorqueRound round) {
    if (round.pass() != round.fullPass()) {
      return List.of(Coming.of(new StepAct.PassDone(step, round.pass())));
    }
    Handling.Fastening joint = rebuild.sheet().fastening(step).orElseThrow();
    int bolt = round.nextFastener().orElseThrow();
    return List.of(
        Coming.reading(
            List.of(joint.minNm(), joint.maxNm()),
            joint.targetNm(),
            nm -> new StepAct.TorqueRead(step, round.pass(), bolt, nm, false, Optional.empty())));
  }

  // ---- parts -----------------------------------------------------------------------------------

  private List<Coming> parts() {
    return rebuild.toInspect().stream()
        .filter(p -> rebuild.verdict(p).isEmpty())
        .flatMap(p -> rebuild.sheet().part(p).stream())
        .flatMap(
            p ->
                Stream.of(Part.Verdict.SOUND, Part.Verdict.WATCH, Part.Verdict.RENEW)
                    .map(verdict -> judged(p, verdict)))
        .toList();
  }

  private static Coming judged(Part part, Part.Verdict verdict) {
    String because = verdict == Part.Verdict.WATCH ? "seen" : "";
    List<Coming.Asked> readings =
        part.limits().stream()
            .map(
                l ->
                    new Coming.Asked(
                        l.measure(),
                        Stream.concat(Stream.of(l.edge()), l.above().stream())
                            .flatMap(e -> Stream.of(e.watch(), e.renew()))
                            .toList(),
                        v ->
                            new PartAct.Judged(
                                part.id(),
                                verdict,
                                List.of(
                                    new Measurement(
                                        l.measure(), new Reading(v, l.unit()), Optional.empty())),
                                List.of(),
                                because)))
            .toList();
    return new Coming(
        new PartAct.Judged(part.id(), verdict, List.of(), List.of(), because),
        readings,
        verdict == Part.Verdict.SOUND);
  }

  // ---- the proof -------------------------------------------------------------------------------

  /** The first test that is not passed, and its clock, which leaves the job where it is. */
  private List<Coming> test() {
    return rebuild.sheet().proof().stream()
        .filter(t -> !rebuild.passed(t))
        .findFirst()
        .map(
            t ->
                t.clockSeconds() > 0
                    ? List.of(
                        new Coming(new ProofAct.ClockStarted(t.id()), List.of(), false), proved(t))
                    : List.of(proved(t)))
        .orElse(List.of());
  }

  private static Coming proved(Sheet.ProofTest test) {
    if (test.kind() == Handling.Answer.CONFIRM) {
      return Coming.of(new ProofAct.Proved(test.id(), Optional.empty(), Optional.empty(), ""));
    }
    return Coming.reading(
        edges(test.min(), test.max()),
        Coming.within(test.min(), test.max()),
        v ->
            new ProofAct.Proved(
                test.id(), Optional.of(new Reading(v, test.unit())), Optional.empty(), ""));
  }
}
