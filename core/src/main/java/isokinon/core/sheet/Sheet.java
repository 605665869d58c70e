package isokinon.core.sheet;

import isokinon.core.cavity.RotorFit;
import isokinon.core.magnetic.Coupling;
import isokinon.core.value.Code;
import isokinon.core.value.Range;
import isokinon.core.value.Source;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * One pump construction: parts, steps, kits, proof and hazards. A sheet that exists as a value has
 * passed the reader of {@code core.sheet.reading}: its ids resolve and its steps can be done.
 *
 * @param id kebab-case, unique
 * @param title what the construction is called
 * @param family which family of constructions it belongs to
 * @param revision grows with each change; a rebuild keeps the revision it began with
 * @param note where its values come from
 * @param manual the maker's manual that pages are of, and its issue; empty where none is named
 * @param startPose how the pump stands when it comes to the bench
 * @param lines centre lines of the stack drawing
 * @param parts parts in the order a technician meets them
 * @param steps strip steps with their build twins
 * @param buildOnly steps without a strip twin
 * @param kits parts sold together
 * @param proof tests after building
 * @param hazards what the make-safe gate asks for
 * @param schools questions of this construction that good technicians answer differently, and its
 *     variants
 * @param orders orders of steps of the strip or of the build that the way in does not tell
 * @param sides sides that are closed one after the other
 * @param hardware sets of plates and shaft that its wet ends may stand on; empty where all share
 *     one
 * @param rounds upkeep that comes round and is done without a rebuild
 * @param compared readings of several parts that are held against each other
 * @param stator how rotors fit its stator; empty where it has none
 * @param coupling its magnets and the point it works at; empty where it has none
 */
public record Sheet(
    String id,
    String title,
    Family family,
    int revision,
    String note,
    String manual,
    String startPose,
    List<Line> lines,
    List<Part> parts,
    List<Step> steps,
    List<BuildOnlyStep> buildOnly,
    List<Kit> kits,
    List<ProofTest> proof,
    List<Hazard> hazards,
    List<School> schools,
    List<StepOrder> orders,
    List<Sides> sides,
    List<Hardware> hardware,
    List<Round> rounds,
    List<Part.Compared> compared,
    Optional<RotorFit.Stator> stator,
    Optional<Coupling> coupling) {

  /**
   * Plates and shaft that a wet end stands on.
   *
   * @param id kebab-case, unique within the sheet
   * @param title what it is called
   * @param differs parts that are others than in the other sets
   */
  public record Hardware(String id, String title, List<String> differs) {}

  /**
   * A centre line of the stack drawing.
   *
   * @param id named by the places of parts
   * @param rail lines with the same rail are drawn end to end
   * @param axes 1, or 2 where the line forks into a branch for each side
   * @param title what the rail is called
   * @param note a word drawn beside it, for example which end is up
   * @param mirrored whether its parts are drawn the other way round
   * @param view along the axis, or in plan for a head whose rollers go round
   */
  public record Line(
      String id, String rail, int axes, String title, String note, boolean mirrored, View view) {}

  /** How a line is drawn. */
  public enum View implements Code {
    AXIS,
    PLAN
  }

  /**
   * Parts that are bought together.
   *
   * @param id kebab-case, unique within the sheet
   * @param title what it is called
   * @param parts part id to quantity
   * @param supplies grease, oil and the like that come with it
   * @param onlyFor the jobs it serves
   */
  public record Kit(
      String id,
      String title,
      Map<String, Integer> parts,
      List<Handling.Supply> supplies,
      OnlyFor onlyFor) {}

  /**
   * A test after building.
   *
   * @param id kebab-case, unique within the sheet
   * @param ask what to do and what to read
   * @param kind confirm or number
   * @param unit unit of a number
   * @param min least value that passes
   * @param max greatest value that passes
   * @param clockSeconds a clock to run beside it, seconds; 0 for none
   * @param backTo steps a failed test points at, the likeliest first; empty where it points at none
   * @param runs three or more runs into a measure, where it is a calibration
   * @param rpm turns a minute it is done at, where flow is held against displacement
   * @param againHours hours of running after which it is looked at again; 0 for never
   * @param afterWaits whether curing and drying must be over before it
   * @param beforeStart whether it is of the list that is gone through before the drive is started
   * @param hazards ids of the sheet's hazards met in it
   * @param cautions sentences shown at it
   * @param shows what the pump does where it does not hold
   * @param source where its limits come from
   * @param onlyFor the jobs it is done in
   */
  public record ProofTest(
      String id,
      String ask,
      Handling.Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      int clockSeconds,
      List<String> backTo,
      Optional<Runs> runs,
      Optional<Double> rpm,
      double againHours,
      boolean afterWaits,
      boolean beforeStart,
      List<String> hazards,
      List<String> cautions,
      MissSymptoms shows,
      Source source,
      OnlyFor onlyFor) {

    /** Whether a reading in the test's unit passes. */
    public boolean passes(double value) {
      return Range.holds(min, max, value);
    }
  }

  /**
   * Calibration runs into a measure.
   *
   * @param turns turns of the head in each
   * @param setMl what the controller reckons with for so many turns, mL
   * @param withinPct half-width of the mean that is accepted, %
   */
  public record Runs(double turns, double setMl, double withinPct) {}

  /**
   * An energy or danger of the make-safe gate.
   *
   * @param id kebab-case, unique within the sheet
   * @param energy what kind of energy it is
   * @param title what it is called
   * @param where where it comes from
   * @param act what to do about it
   * @param ask what is measured or confirmed to prove it gone
   * @param kind confirm or number
   * @param unit unit of a number
   * @param min least value that counts as safe; empty where there is none
   * @param max greatest value that counts as safe; empty where there is none
   * @param orConfirm what is confirmed instead where the number proves nothing, such as pH after a
   *     fluid that has none; else empty
   * @param licensed whether the law reserves it to licensed people in many places
   * @param whereMet whether it is asked only in a job whose steps meet it
   * @param onlyFor the jobs it is asked in
   */
  public record Hazard(
      String id,
      Energy energy,
      String title,
      String where,
      String act,
      String ask,
      Handling.Answer kind,
      String unit,
      Optional<Double> min,
      Optional<Double> max,
      String orConfirm,
      boolean licensed,
      boolean whereMet,
      OnlyFor onlyFor) {

    /** Whether proving it gone is licensed electrical work. */
    public boolean electrical() {
      return licensed && energy == Energy.MAINS;
    }

    /** Whether a reading in the hazard's unit proves it gone. */
    public boolean passes(double value) {
      return Range.holds(min, max, value);
    }
  }

  /** Kinds of energy and danger. */
  public enum Energy implements Code {
    MAINS,
    AIR,
    PRESSURE,
    FLUID,
    HEAT,
    MAGNET,
    WEIGHT,
    SPRING,
    STATIC
  }

  /** The schools of this sheet, then those of every sheet that it does not name itself. */
  public List<School> allSchools() {
    List<School> all = new ArrayList<>(schools);
    School.OF_EVERY_SHEET.stream()
        .filter(s -> schools.stream().noneMatch(own -> own.id().equals(s.id())))
        .forEach(all::add);
    return List.copyOf(all);
  }

  /** This sheet as a job follows it that has chosen {@code ways}; the standard way elsewhere. */
  public Sheet by(Collection<String> ways) {
    return by(Following.ways(List.copyOf(ways)));
  }

  /** This sheet as a job follows it. */
  public Sheet by(Following job) {
    return WayOfWork.of(this, job);
  }

  /** Whether a step or a build-only step belongs to {@code way}. */
  public boolean hasSteps(String way) {
    return handlings().anyMatch(h -> h.onlyFor().ways().contains(way));
  }

  /** This sheet with other minutes, for example those learned from recorded jobs. */
  public Sheet withSteps(UnaryOperator<Step> change) {
    return new Sheet(
        id,
        title,
        family,
        revision,
        note,
        manual,
        startPose,
        lines,
        parts,
        steps.stream().map(change).toList(),
        buildOnly,
        kits,
        proof,
        hazards,
        schools,
        orders,
        sides,
        hardware,
        rounds,
        compared,
        stator,
        coupling);
  }

  /** How many of its torques, limits and tests say values from there. */
  public int says(Source.Kind kind) {
    return (int)
        Stream.of(
                handlings().flatMap(Handling::sources),
                parts.stream().flatMap(p -> p.limits().stream()).map(Part.Limit::source),
                proof.stream().filter(t -> t.min().or(t::max).isPresent()).map(ProofTest::source))
            .flatMap(s -> s)
            .filter(s -> s.kind() == kind)
            .count();
  }

  private Stream<Handling> handlings() {
    return Stream.concat(steps.stream().map(Step::how), buildOnly.stream().map(BuildOnlyStep::how));
  }

  /** The way of {@code school} that a job follows that has chosen {@code ways}. */
  public School.Way followed(School school, Collection<String> ways) {
    return WayOfWork.followed(school, ways);
  }

  /** Whether a job that has chosen {@code ways} follows one with this effect. */
  public boolean has(School.Effect effect, Collection<String> ways) {
    return allSchools().stream().anyMatch(s -> followed(s, ways).effect() == effect);
  }

  /** What a part is called; its id where the sheet does not know it. */
  public String partName(String partId) {
    return part(partId).map(Part::name).orElse(partId);
  }

  /** The sentence of a step as it is built; its id where the sheet does not know it. */
  public String stepSentence(String stepId) {
    return step(stepId)
        .map(Step::build)
        .or(() -> buildOnlyStep(stepId).map(BuildOnlyStep::build))
        .orElse(stepId);
  }

  /** The question of a test, else the sentence of a step. */
  public String testOrStep(String id) {
    return proofTest(id).map(ProofTest::ask).orElseGet(() -> stepSentence(id));
  }

  /** The kit with this id; empty where there is none. */
  public Optional<Kit> kit(String kitId) {
    return kits.stream().filter(k -> k.id().equals(kitId)).findFirst();
  }

  /** The energy with this id; empty where there is none. */
  public Optional<Hazard> hazard(String id) {
    return hazards.stream().filter(h -> h.id().equals(id)).findFirst();
  }

  /** The test of the proof with this id; empty where there is none. */
  public Optional<ProofTest> proofTest(String id) {
    return proof.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  /** The steps that an entry of a list names in a plan: a step itself, or those of a side. */
  public List<String> named(String id, Collection<String> planned) {
    return sides.stream()
        .flatMap(s -> s.named(id, planned).stream())
        .findFirst()
        .orElseGet(() -> List.of(id));
  }

  /**
   * Steps that are built after {@code step} because they are stripped before it: what it comes
   * after, and through those that are not built what they come after.
   */
  public Set<String> builtAfter(Step step) {
    Set<String> over = new LinkedHashSet<>();
    Set<String> seen = new HashSet<>();
    Deque<String> toLookAt = new ArrayDeque<>(step.after());
    while (!toLookAt.isEmpty()) {
      String id = toLookAt.pop();
      Optional<Step> above = step(id);
      if (seen.add(id) && above.isPresent()) {
        if (above.get().stripOnly()) {
          toLookAt.addAll(above.get().after());
        } else {
          over.add(id);
        }
      }
    }
    return over;
  }

  /** The part with this id; empty where there is none. */
  public Optional<Part> part(String partId) {
    return parts.stream().filter(p -> p.id().equals(partId)).findFirst();
  }

  /** The strip step with this id; empty where there is none. */
  public Optional<Step> step(String stepId) {
    return steps.stream().filter(s -> s.id().equals(stepId)).findFirst();
  }

  /** How a strip or build-only step is done; empty where the id is neither. */
  public Optional<Handling> handling(String stepId) {
    return step(stepId).map(Step::how).or(() -> buildOnlyStep(stepId).map(BuildOnlyStep::how));
  }

  /** The joint that a step tightens to a torque; empty where there is none. */
  public Optional<Handling.Fastening> fastening(String step) {
    return handling(step).flatMap(Handling::fastening).filter(f -> !f.bySign());
  }

  /** The build-only step with this id; empty where there is none. */
  public Optional<BuildOnlyStep> buildOnlyStep(String stepId) {
    return buildOnly.stream().filter(s -> s.id().equals(stepId)).findFirst();
  }
}
