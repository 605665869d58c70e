package isokinon.core.wetend;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What would change the choice: how far each fluid may get hotter, cooler, stronger or weaker. */
public final class Sensitivity {

  private static final int REACH_K = 80;
  private static final int COLDEST_C = 0;

  /** What is turned. */
  public enum Axis implements Code {
    TEMPERATURE,
    CONCENTRATION
  }

  /**
   * The nearest point at which another wet end leads.
   *
   * @param exposure index into the duty
   * @param axis temperature or concentration
   * @param upward whether it is turned up
   * @param at last value at which the choice still stands, degC or %
   * @param leader who leads beyond it; empty where nobody fits
   * @param sentence in words
   */
  public record Turn(
      int exposure,
      Axis axis,
      boolean upward,
      double at,
      Optional<CandidateId> leader,
      String sentence) {}

  private final MaterialLibrary library;
  private final Function<Duty, ChoiceOutcome> choose;
  private final Function<CandidateId, String> name;

  /**
   * @param library names the fluids
   * @param choose who leads and who fits in a duty
   * @param name what a candidate is called in a sentence
   */
  public Sensitivity(
      MaterialLibrary library,
      Function<Duty, ChoiceOutcome> choose,
      Function<CandidateId, String> name) {
    this.library = library;
    this.choose = choose;
    this.name = name;
  }

  /** Every turn within 80 K, and over all concentrations, nearest first for each fluid. */
  public List<Turn> turns(Duty duty) {
    ChoiceOutcome now = choose.apply(duty);
    List<Turn> turns = new ArrayList<>();
    for (int i = 0; i < duty.exposures().size(); i++) {
      for (boolean up : new boolean[] {true, false}) {
        temperature(duty, i, up, now).ifPresent(turns::add);
      }
      for (boolean up : new boolean[] {true, false}) {
        concentration(duty, i, up, now).ifPresent(turns::add);
      }
    }
    return turns;
  }

  private Optional<Turn> temperature(Duty duty, int i, boolean up, ChoiceOutcome now) {
    double t = duty.exposures().get(i).temperatureC();
    double start = up ? Math.floor(t) : Math.ceil(t);
    for (int k = 1; k <= REACH_K; k++) {
      double next = up ? start + k : start - k;
      if (next < COLDEST_C) {
        return Optional.empty();
      }
      ChoiceOutcome then = choose.apply(duty.with(i, duty.exposures().get(i).at(next)));
      if (!then.leader().equals(now.leader())) {
        double last = up ? next - 1 : next + 1;
        String where = Say.of("%s %s °C", up ? "Above" : "Under", Say.number(last));
        return Optional.of(turn(duty, i, Axis.TEMPERATURE, up, last, where, now, then));
      }
    }
    return Optional.empty();
  }

  private Optional<Turn> concentration(Duty duty, int i, boolean up, ChoiceOutcome now) {
    double pct = duty.exposures().get(i).concentrationPct();
    double start = up ? Math.floor(pct) : Math.ceil(pct);
    int reach = (int) (up ? 100 - start : start);
    Optional<CandidateId> before = now.leader();
    for (int k = 1; k <= reach; k++) {
      double next = up ? start + k : start - k;
      ChoiceOutcome then = choose.apply(duty.with(i, duty.exposures().get(i).diluted(next)));
      if (!then.leader().equals(before)) {
        double last = up ? next - 1 : next + 1;
        String where = Say.of("%s %s %%", up ? "Above" : "Under", Say.number(last));
        return Optional.of(turn(duty, i, Axis.CONCENTRATION, up, last, where, now, then));
      }
    }
    return Optional.empty();
  }

  private Turn turn(
      Duty duty,
      int i,
      Axis axis,
      boolean up,
      double at,
      String where,
      ChoiceOutcome now,
      ChoiceOutcome then) {
    String fluid = duty.exposures().get(i).fluid();
    String said = library.fluidName(fluid);
    return new Turn(
        i,
        axis,
        up,
        at,
        then.leader(),
        said + ": " + Say.lower(where) + " " + change(now, then, name));
  }

  /** What becomes of the choice, as the end of a sentence. */
  static String change(ChoiceOutcome now, ChoiceOutcome then, Function<CandidateId, String> name) {
    String next = then.leader().map(name).orElse("");
    if (now.leader().isEmpty()) {
      return then.leader().isEmpty() ? "nothing changes." : next + " stands it.";
    }
    String was = name.apply(now.leader().get());
    if (then.fit().contains(now.leader().get())) {
      return next + " comes before " + was + ".";
    }
    String end =
        then.unknown().contains(now.leader().get())
            ? "the library does not know " + was
            : was + " falls out";
    return then.leader().isPresent()
        ? end + " and " + next + " leads."
        : end + (then.unknown().contains(now.leader().get()) ? "." : " and nothing stands it.");
  }
}
