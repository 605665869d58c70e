package isokinon.core.wetend;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * What to change where nothing stands a duty: cool one fluid, weaken it, or keep it out of this
 * pump. Each way is the smallest change of its kind that lets something in.
 */
public final class WayOut {

  /** A change and what it lets in. */
  public record Way(int exposure, Kind kind, double to, String sentence) {}

  /** Kinds of change, the least trouble first. */
  public enum Kind implements Code {
    COOLER,
    WEAKER,
    KEPT_OUT
  }

  private final MaterialLibrary library;
  private final Function<Duty, ChoiceOutcome> choose;
  private final Function<CandidateId, String> name;

  /**
   * @param library names the fluids
   * @param choose who leads and who fits in a duty
   * @param name what a candidate is called in a sentence
   */
  public WayOut(
      MaterialLibrary library,
      Function<Duty, ChoiceOutcome> choose,
      Function<CandidateId, String> name) {
    this.library = library;
    this.choose = choose;
    this.name = name;
  }

  /** The ways out, least trouble first; empty where something fits as it is, or nothing helps. */
  public List<Way> of(Duty duty) {
    if (choose.apply(duty).leader().isPresent()) {
      return List.of();
    }
    List<Way> ways = new ArrayList<>();
    for (int i = 0; i < duty.exposures().size(); i++) {
      cooler(duty, i, ways);
      weaker(duty, i, ways);
      if (duty.exposures().size() > 1) {
        keptOut(duty, i, ways);
      }
    }
    ways.sort(Comparator.comparing(Way::kind));
    return ways;
  }

  private void cooler(Duty duty, int i, List<Way> ways) {
    Duty.Exposure e = duty.exposures().get(i);
    for (double t = Math.ceil(e.temperatureC()) - 1; t >= 5; t--) {
      ChoiceOutcome then = choose.apply(duty.with(i, e.at(t)));
      if (then.leader().isPresent()) {
        ways.add(
            new Way(
                i,
                Kind.COOLER,
                t,
                Say.of(
                    "Keep %s at %s °C or under, not %s °C: %s stands it then.",
                    fluid(e), Say.number(t), Say.number(e.temperatureC()), led(then))));
        return;
      }
    }
  }

  private void weaker(Duty duty, int i, List<Way> ways) {
    Duty.Exposure e = duty.exposures().get(i);
    for (double pct = Math.ceil(e.concentrationPct()) - 1; pct >= 1; pct--) {
      ChoiceOutcome then = choose.apply(duty.with(i, e.diluted(pct)));
      if (then.leader().isPresent()) {
        ways.add(
            new Way(
                i,
                Kind.WEAKER,
                pct,
                Say.of(
                    "Use %s at %s %% or under, not %s %%: %s stands it then.",
                    fluid(e), Say.number(pct), Say.number(e.concentrationPct()), led(then))));
        return;
      }
    }
  }

  private void keptOut(Duty duty, int i, List<Way> ways) {
    ChoiceOutcome then = choose.apply(duty.without(i));
    if (then.leader().isPresent()) {
      Duty.Exposure e = duty.exposures().get(i);
      ways.add(
          new Way(
              i,
              Kind.KEPT_OUT,
              0,
              Say.of(
                  "Keep %s out of this pump, by a pump of its own or a bypass: %s stands the rest.",
                  fluid(e), led(then))));
    }
  }

  private String led(ChoiceOutcome then) {
    return then.leader().map(name).orElse("nothing");
  }

  private String fluid(Duty.Exposure e) {
    return Say.lower(library.fluidName(e.fluid()));
  }
}
