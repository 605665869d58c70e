package isokinon.core.wetend;

import isokinon.core.material.Ceiling;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.wetend.Rating.Bar;
import isokinon.core.wetend.Rating.Rule;
import isokinon.core.wetend.Rating.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How does each material stand in a duty?
 *
 * <p>In one fluid the life factor is 1 up to the full temperature, halves for each 10 K above it up
 * to the limited one (the usual rule for polymer ageing), and is nothing beyond. The highest
 * temperature decides whether a material may go in, the usual one how long it lasts. A metal does
 * not age so: between full and limited it may pit, or never does, and no life is halved. Beyond the
 * fluid's own ceiling nothing is suited. Several fluids: a material unsuited in any, however short
 * its share, is unsuited; else damage adds linearly (Miner), 1/f = Σ share/f. The material's
 * service range, abrasion and suction lift count besides, and for a part in its role the rules of
 * {@link RoleRules}. Where the library has no row the verdict is unknown, never guessed.
 */
public final class WetEndRater {

  private static final double SHORTENED = 0.5;

  private final MaterialLibrary library;

  /** A rater over {@code library}. */
  public WetEndRater(MaterialLibrary library) {
    this.library = library;
  }

  /** The library it rates by. */
  public MaterialLibrary library() {
    return library;
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

  /** Rates one material wherever it stands in the pump. */
  public Rating rate(Duty duty, Material material) {
    return rate(duty, material, List.of());
  }

  /** Rates one material for a part, by the rules of its role as well. */
  public Rating rate(Duty duty, Material material, String role) {
    return Roles.wetted(role)
        ? rate(duty, material, RoleRules.of(role, material, duty, library))
        : behind(role, duty, material);
  }

  /**
   * A part no fluid touches while the pump is whole. Some fluids pass through PTFE all the same: in
   * those a backup is limited at best, and by its own row.
   */
  private Rating behind(String role, Duty duty, Material material) {
    Rating dry = dry(duty, material);
    if (!role.equals(Roles.BACKUP)) {
      return dry;
    }
    Verdict verdict = dry.verdict();
    List<Rule> rules = new ArrayList<>(dry.rules());
    for (Duty.Exposure e : duty.exposures()) {
      Bar bar = bar(e, material);
      if (library.permeates(bar.fluid())) {
        Verdict through = bar.verdict().and(Verdict.LIMITED);
        verdict = verdict.and(through);
        rules.add(
            0,
            new Rule(through, 1, Say.of("%s passes through the PTFE before it.", bar.fluidName())));
      }
    }
    return new Rating(
        material.code(),
        verdict,
        verdict.fits() ? dry.factor() : Optional.empty(),
        dry.marginK(),
        List.of(),
        rules);
  }

  /**
   * Rates a whole wet end: as good as its worst part, the weakest one named. The pairs in it (ball
   * and seat, the faces of a bearing) are judged as pairs.
   *
   * @param duty a duty without faults
   * @param parts material of each role
   */
  public WholeRating whole(Duty duty, Map<String, Material> parts) {
    List<WholeRating.Part> rated = new ArrayList<>();
    parts.forEach(
        (role, material) -> rated.add(new WholeRating.Part(role, rate(duty, material, role))));
    return WholeRating.of(rated, RoleRules.pairs(parts, duty));
  }

  private Rating rate(Duty duty, Material material, List<Rule> ofRole) {
    List<Bar> bars = new ArrayList<>(duty.exposures().size());
    Verdict verdict = Verdict.SUITED;
    double damage = 0;
    for (Duty.Exposure e : duty.exposures()) {
      Bar bar = bar(e, material);
      bars.add(bar);
      verdict = verdict.and(bar.verdict());
      damage += e.share() == 0 ? 0 : e.share() / bar.factor();
    }
    double factor = 1 / damage;
    List<Rule> rules = ofRole;
    double abrasion = duty.abrasion().factor(material.heavyAbrasionFactor());
    double over = duty.suctionLiftM() - material.suctionM();
    if (abrasion < SHORTENED || over > 0) {
      rules = new ArrayList<>(ofRole);
      mechanical(rules, abrasion, over, duty, material);
    }
    factor *= abrasion * (over > 0 ? Math.pow(2, -over) : 1);
    for (Rule rule : rules) {
      verdict = verdict.and(rule.verdict());
    }
    for (Rule rule : ofRole) {
      factor *= rule.factor();
    }
    return new Rating(
        material.code(),
        verdict,
        verdict.fits() ? Optional.of(factor) : Optional.empty(),
        margin(bars),
        bars,
        rules);
  }

  /** Life halves for each metre of suction over what the material stands (shop rule). */
  private static void mechanical(
      List<Rule> rules, double abrasion, double over, Duty duty, Material material) {
    if (over > 0) {
      rules.add(
          new Rule(
              Verdict.LIMITED,
              Math.pow(2, -over),
              Say.of(
                  "A suction lift of %.1f m is over the %.1f m it stands.",
                  duty.suctionLiftM(), material.suctionM())));
    }
    if (abrasion < SHORTENED) {
      rules.add(
          new Rule(
              Verdict.LIMITED,
              abrasion,
              Say.of("Solids wear it: %.0f %% of its life under this abrasion.", abrasion * 100)));
    }
  }

  /** A part no fluid touches while it is whole: only heat counts. */
  private static Rating dry(Duty duty, Material material) {
    double hottest = duty.hottestC();
    boolean fits = hottest <= material.maxC();
    List<Rule> rules =
        List.of(
            new Rule(
                fits ? Verdict.SUITED : Verdict.UNSUITED,
                1,
                fits
                    ? Say.of(
                        "Not wetted; %s K under its highest service temperature.",
                        Say.number(material.maxC() - hottest))
                    : Say.of(
                        "%s °C is over its highest service temperature, %s °C.",
                        Say.number(hottest), Say.number(material.maxC()))));
    return new Rating(
        material.code(),
        fits ? Verdict.SUITED : Verdict.UNSUITED,
        fits ? Optional.of(1.0) : Optional.empty(),
        Optional.of(material.maxC() - hottest),
        List.of(),
        rules);
  }

  private Bar bar(Duty.Exposure e, Material m) {
    String fluid = library.fluid(e.fluid()).map(Fluid::code).orElse(e.fluid());
    String name = library.fluidName(e.fluid());
    double t = e.temperatureC();
    Optional<Resistance> found = library.resistance(fluid, e.concentrationPct(), m.code(), t);
    Verdict verdict;
    double factor = 0;
    Optional<Ceiling> ceiling = library.ceiling(fluid, e.concentrationPct());
    double most = ceiling.map(Ceiling::maxC).orElse(Double.POSITIVE_INFINITY);
    Optional<Double> full = found.flatMap(Resistance::fullC).map(c -> Math.min(c, most));
    Optional<Double> limited = found.flatMap(Resistance::limitedC).map(c -> Math.min(c, most));
    if (t > m.maxC() || t < m.minC()) {
      verdict = Verdict.UNSUITED;
    } else if (found.isEmpty()) {
      verdict = Verdict.UNKNOWN;
    } else {
      double atHighest = found.get().factorAt(t);
      verdict =
          atHighest == 0 ? Verdict.UNSUITED : atHighest < 1 ? Verdict.LIMITED : Verdict.SUITED;
      factor = atHighest == 0 ? 0 : life(found.get(), m, Math.max(e.usualC(), m.minC()));
    }
    if (ceiling.filter(c -> t > c.maxC()).isPresent()) {
      verdict = Verdict.UNSUITED;
      factor = 0;
    }
    return new Bar(
        fluid,
        name,
        e.concentrationPct(),
        t,
        m.minC(),
        m.maxC(),
        full,
        limited,
        found.flatMap(Resistance::effect),
        found.map(Resistance::own).orElse(false),
        found.map(Resistance::known),
        ceiling,
        verdict,
        factor);
  }

  private static double life(Resistance row, Material m, double temperatureC) {
    return m.kind().thresholds() ? 1 : row.factorAt(temperatureC);
  }

  private static Optional<Double> margin(List<Bar> bars) {
    double least = Double.POSITIVE_INFINITY;
    for (Bar bar : bars) {
      if (bar.limitedC().isEmpty()) {
        return Optional.empty();
      }
      least = Math.min(least, bar.limitedC().get() - bar.temperatureC());
    }
    return bars.isEmpty() ? Optional.empty() : Optional.of(least);
  }
}
