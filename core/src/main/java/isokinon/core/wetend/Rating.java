package isokinon.core.wetend;

import isokinon.core.material.Ceiling;
import isokinon.core.material.Effect;
import isokinon.core.material.Knowledge;
import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a material stands in a duty.
 *
 * @param material material code
 * @param verdict of the whole duty
 * @param factor product of all life factors; empty when unsuited or unknown
 * @param marginK least (limited - temperature), K; empty when unknown or never fit
 * @param bars how it stands in each fluid, in the order of the duty
 * @param rules what else limits it, worst first: solids, suction, pressure, place
 */
public record Rating(
    String material,
    Verdict verdict,
    Optional<Double> factor,
    Optional<Double> marginK,
    List<Bar> bars,
    List<Rule> rules) {

  /** Better first; of several, unsuited beats unknown beats limited beats suited. */
  public enum Verdict implements Code {
    SUITED,
    LIMITED,
    UNKNOWN,
    UNSUITED;

    /** The worse of two. */
    public Verdict and(Verdict other) {
      return compareTo(other) >= 0 ? this : other;
    }

    /** Whether it may go in. */
    public boolean fits() {
      return this == SUITED || this == LIMITED;
    }
  }

  /** What limits a material: the fluid (empty for everything else) and a sentence. */
  public record LimitedBy(String fluid, String reason) {}

  /**
   * A rule beside the fluids that bears on a material.
   *
   * @param verdict what it makes of the material
   * @param factor life factor, 1 where the rule only judges
   * @param reason one sentence
   */
  public record Rule(Verdict verdict, double factor, String reason) {}

  /**
   * A material against one fluid of the duty.
   *
   * @param fluid fluid code
   * @param fluidName the fluid in words
   * @param concentrationPct of the duty, %
   * @param temperatureC highest temperature of the duty, degC
   * @param serviceMinC lowest service temperature of the material, degC
   * @param serviceMaxC highest service temperature of the material, degC
   * @param fullC full resistance up to here; empty where never or unknown
   * @param limitedC limited life up to here; empty where never or unknown
   * @param effect what the attack looks like; empty where none is known
   * @param own whether the row is the shop's own
   * @param known how well the row is known; empty where there is none
   * @param ceiling the temperature the fluid itself does not go beyond; empty where none is known
   * @param verdict in this fluid alone
   * @param factor life factor in this fluid alone, 0 when unsuited or unknown
   */
  public record Bar(
      String fluid,
      String fluidName,
      double concentrationPct,
      double temperatureC,
      double serviceMinC,
      double serviceMaxC,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Effect> effect,
      boolean own,
      Optional<Knowledge> known,
      Optional<Ceiling> ceiling,
      Verdict verdict,
      double factor) {

    /** Kelvin between the duty and the last limit; very low where it is never fit or unknown. */
    double headroomK() {
      return limitedC.orElse(-1e9) - temperatureC;
    }

    /** One sentence: what decides in this fluid. */
    public String reason() {
      String t = Say.number(temperatureC);
      if (ceiling.filter(c -> temperatureC > c.maxC()).isPresent()) {
        return Say.of(
            "%s of %s %% %s above %s °C: nothing is pumped hotter.",
            fluidName,
            Say.number(concentrationPct),
            ceiling.get().because().words(),
            Say.number(ceiling.get().maxC()));
      }
      if (temperatureC > serviceMaxC || temperatureC < serviceMinC) {
        return Say.of(
            "%s at %s °C is outside its service range, %s to %s °C.",
            fluidName, t, Say.number(serviceMinC), Say.number(serviceMaxC));
      }
      String word = effect.map(Code::code).orElse("attacks");
      return switch (verdict) {
        case UNKNOWN ->
            Say.of(
                "The library has no row for %s at %s %%.", fluidName, Say.number(concentrationPct));
        case UNSUITED ->
            limitedC.isEmpty()
                ? Say.of("%s %s it at any temperature.", fluidName, word)
                : Say.of(
                    "%s at %s °C is %s K past its last limit: %s it.",
                    fluidName, t, Say.number(temperatureC - limitedC.get()), word);
        case LIMITED ->
            fullC.isEmpty()
                ? Say.of("%s shortens its life from the first degree: %s it.", fluidName, word)
                : Say.of(
                    "%s runs %s K into limited life%s.",
                    fluidName,
                    Say.number(temperatureC - fullC.orElse(temperatureC)),
                    effect.map(e -> ", " + e.code() + " it").orElse(""));
        case SUITED ->
            Say.of(
                "%s is nearest, %s K to spare.",
                fluidName, Say.number(fullC.orElse(temperatureC) - temperatureC));
      };
    }
  }

  /** How well the least known of its rows is known; usual where no fluid touches it. */
  public Knowledge known() {
    return bars.stream()
        .flatMap(b -> b.known().stream())
        .reduce(Knowledge::and)
        .orElse(Knowledge.USUAL);
  }

  /** What came nearest to limiting it; empty only for a part no fluid touches. */
  public Optional<LimitedBy> limitedBy() {
    Optional<LimitedBy> fluid =
        bars.stream()
            .filter(b -> b.verdict() == verdict)
            .min(Comparator.comparingDouble(Bar::headroomK))
            .map(b -> new LimitedBy(b.fluid(), b.reason()));
    Optional<LimitedBy> rule =
        rules.stream()
            .filter(r -> r.verdict() == verdict)
            .min(Comparator.comparingDouble(Rule::factor))
            .map(r -> new LimitedBy("", r.reason()));
    return verdict == Verdict.SUITED || fluid.isPresent()
        ? fluid
        : rule.or(() -> rules.stream().findFirst().map(r -> new LimitedBy("", r.reason())));
  }
}
