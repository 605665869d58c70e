package isokinon.core.wetend;

import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.wetend.Rating.Bar;
import isokinon.core.wetend.Rating.LimitedBy;
import isokinon.core.wetend.Rating.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How does each material stand in a duty?
 *
 * <p>In one fluid the life factor is 1 up to the full temperature, halves for each 10 K above it up
 * to the limited one (the usual rule for polymer ageing), and is nothing beyond. Several fluids: a
 * material unsuited in any, however short its share, is unsuited; else damage adds linearly
 * (Miner), 1/f = Σ share/f. The material's service range, abrasion and suction lift count besides.
 * Where the library has no row the verdict is unknown, never guessed.
 */
public final class WetEndRater {

  private static final double SHORTENED = 0.5;

  private final MaterialLibrary library;

  /** A rater over {@code library}. */
  public WetEndRater(MaterialLibrary library) {
    this.library = library;
  }

  /**
   * Rates materials, best first: by verdict, then by factor, then as the library lists them.
   *
   * @param duty a duty without faults
   * @param materials what to rate
   */
  public List<Rating> rate(Duty duty, List<Material> materials) {
    return materials.stream()
        .map(m -> rate(duty, m))
        .sorted(Comparator.comparing(Rating::verdict).thenComparing(r -> -r.factor().orElse(0.0)))
        .toList();
  }

  /** Rates one material. */
  public Rating rate(Duty duty, Material material) {
    List<Bar> bars = duty.exposures().stream().map(e -> bar(e, material)).toList();
    Verdict verdict = Verdict.SUITED;
    double damage = 0;
    for (int i = 0; i < bars.size(); i++) {
      verdict = verdict.and(bars.get(i).verdict());
      double share = duty.exposures().get(i).share();
      damage += share == 0 ? 0 : share / bars.get(i).factor();
    }
    double abrasion = duty.abrasion().factor(material.heavyAbrasionFactor());
    double suction = suctionFactor(duty.suctionLiftM(), material);
    List<LimitedBy> mechanical = new ArrayList<>();
    if (suction < 1) {
      mechanical.add(
          new LimitedBy(
              "",
              say(
                  "A suction lift of %.1f m is over the %.1f m it stands.",
                  duty.suctionLiftM(), material.suctionM())));
    }
    if (abrasion < SHORTENED) {
      mechanical.add(
          new LimitedBy(
              "", say("Solids wear it: %.0f %% of its life under this abrasion.", abrasion * 100)));
    }
    if (!mechanical.isEmpty()) {
      verdict = verdict.and(Verdict.LIMITED);
    }
    boolean numbered = verdict == Verdict.SUITED || verdict == Verdict.LIMITED;
    return new Rating(
        material.code(),
        verdict,
        numbered ? Optional.of(abrasion * suction / damage) : Optional.empty(),
        limitedBy(bars, verdict, mechanical),
        margin(bars),
        bars);
  }

  /** Life halves for each metre over what the material stands (shop rule). */
  private static double suctionFactor(double liftM, Material material) {
    return liftM <= material.suctionM() ? 1 : Math.pow(2, -(liftM - material.suctionM()));
  }

  private Bar bar(Duty.Exposure e, Material m) {
    String fluid = library.fluid(e.fluid()).map(f -> f.code()).orElse(e.fluid());
    String name = library.fluid(e.fluid()).map(f -> f.name()).orElse(e.fluid());
    double t = e.temperatureC();
    Optional<Resistance> row = library.resistance(fluid, e.concentrationPct(), m.code(), t);
    if (t > m.maxC() || t < m.minC()) {
      return new Bar(
          fluid,
          t,
          row.flatMap(Resistance::fullC),
          row.flatMap(Resistance::limitedC).map(l -> Math.min(l, m.maxC())),
          Verdict.UNSUITED,
          0,
          say(
              "%s at %s °C is outside its service range, %s to %s °C.",
              name, plain(t), plain(m.minC()), plain(m.maxC())));
    }
    if (row.isEmpty()) {
      return new Bar(
          fluid,
          t,
          Optional.empty(),
          Optional.empty(),
          Verdict.UNKNOWN,
          0,
          say("The library has no row for %s at %s %%.", name, plain(e.concentrationPct())));
    }
    Resistance r = row.get();
    double factor = r.factorAt(t);
    Verdict verdict =
        factor == 0 ? Verdict.UNSUITED : factor < 1 ? Verdict.LIMITED : Verdict.SUITED;
    return new Bar(fluid, t, r.fullC(), r.limitedC(), verdict, factor, reason(name, r, t, verdict));
  }

  private static String reason(String fluid, Resistance r, double t, Verdict verdict) {
    String effect = r.effect().isEmpty() ? "attacks" : r.effect();
    return switch (verdict) {
      case UNSUITED ->
          r.limitedC().isEmpty()
              ? say("%s %s it at any temperature.", fluid, effect)
              : say(
                  "%s at %s °C is %s K past its last limit: %s it.",
                  fluid, plain(t), plain(t - r.limitedC().get()), effect);
      case LIMITED ->
          say(
              "%s runs %s K into limited life, %s it.",
              fluid, plain(t - r.fullC().orElse(t)), effect);
      default -> say("%s is nearest, %s K to spare.", fluid, plain(r.fullC().orElse(t) - t));
    };
  }

  private static Optional<LimitedBy> limitedBy(
      List<Bar> bars, Verdict verdict, List<LimitedBy> mechanical) {
    Optional<Bar> nearest =
        bars.stream()
            .filter(b -> b.verdict() == verdict)
            .min(Comparator.comparingDouble(b -> b.limitedC().orElse(-1e9) - b.temperatureC()));
    Optional<LimitedBy> chemical = nearest.map(b -> new LimitedBy(b.fluid(), b.reason()));
    return verdict == Verdict.LIMITED && !mechanical.isEmpty() && chemical.isEmpty()
        ? mechanical.stream().findFirst()
        : chemical.or(() -> mechanical.stream().findFirst());
  }

  private static Optional<Double> margin(List<Bar> bars) {
    return bars.stream().anyMatch(b -> b.limitedC().isEmpty())
        ? Optional.empty()
        : bars.stream().map(b -> b.limitedC().get() - b.temperatureC()).min(Double::compare);
  }

  private static String say(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  private static String plain(double value) {
    double rounded = Math.round(value * 10) / 10.0;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
