package isokinon.core.wetend;

import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialKind;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.material.trace.Traces.Like;
import isokinon.core.material.trace.Traces.Trace;
import isokinon.core.value.Code;
import isokinon.core.wetend.Duty.Conditions;
import isokinon.core.wetend.Duty.Zone;
import isokinon.core.wetend.Rating.Rule;
import isokinon.core.wetend.Rating.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the trade knows of parts in their roles, beside what fluids do to materials. A rule that
 * needs a fact nobody has given says nothing; {@link OpenFacts} finds out whether the fact matters.
 * The limits are shop rules.
 */
final class RoleRules {

  /** A ball must be this much denser than the fluid to fall back on its seat. */
  private static final double SINKS = 1.02;

  private static final double LIGHT_KG_M3 = 2500;
  private static final double HEAVY_KG_M3 = 5000;
  private static final double VISCOUS_MPAS = 500;
  private static final double THIN_MPAS = 20;
  private static final double SCORES_PTFE_MM = 2;

  /** From this much under its flash point a fluid counts as flammable, K. */
  private static final double FLASH_MARGIN_K = 5;

  private static final Set<String> HOLDS_CHARGE =
      Set.of(Roles.BODY, Roles.SHELL, Roles.SEAT, "plate");

  private static final Set<String> CLOSE_FIT =
      Set.of(Roles.ROTOR, Roles.BALL, Roles.BUSHING, Roles.SHAFT_SEAL);

  private RoleRules() {}

  static List<Rule> of(String role, Material m, Duty duty, MaterialLibrary library) {
    List<Rule> rules = new ArrayList<>();
    Conditions c = duty.conditions();
    if (c.food().orElse(false) && !m.foodGrade()) {
      rules.add(unsuited("No grade of it for food contact is known here."));
    }
    c.ambientC()
        .filter(a -> a < m.minC())
        .ifPresent(
            a ->
                rules.add(
                    unsuited(
                        Say.of(
                            "At %s °C around it, it is below its service range, %s °C.",
                            Say.number(a), Say.number(m.minC())))));
    if (HOLDS_CHARGE.contains(role)) {
      if (m.conducts().isEmpty()) {
        unknownCharge(rules, duty);
      } else if (!m.conducts().get()) {
        charge(rules, role, duty, library);
      }
    }
    if (CLOSE_FIT.contains(role) && m.kind().thresholds()) {
      closeFit(rules, m, duty, library);
    }
    traces(rules, role, m, duty, library);
    if (role.equals(Roles.BODY)) {
      loaded(rules, m, duty);
    }
    switch (role) {
      case Roles.TUBE, Roles.HOSE -> pressure(rules, m, c);
      case Roles.BALL -> ball(rules, m, duty, library);
      case Roles.DIAPHRAGM -> {
        if (m.code().equals("PTFE") && c.solidsMm().orElse(0.0) > SCORES_PTFE_MM) {
          rules.add(limited(Say.of("Grit over %.0f mm scores its thin face.", SCORES_PTFE_MM)));
        }
      }
      case Roles.BUSHING -> {
        counterface(rules, m, duty, library);
        if (c.runsDry().orElse(false) && m.isOrIsFrom("SiC")) {
          rules.add(unsuited("Silicon carbide on silicon carbide must never run dry."));
        }
      }
      case Roles.STATOR -> {
        if (c.runsDry().orElse(false)) {
          rules.add(
              limited("It burns within a minute of running dry: guard it before it goes in."));
        }
      }
      default -> {}
    }
    return rules;
  }

  /** A bearing is a pair: what the bushing runs on must stand the fluids as well. */
  private static void counterface(
      List<Rule> rules, Material m, Duty duty, MaterialLibrary library) {
    if (m.runsOn().isEmpty()) {
      return;
    }
    String face = m.runsOn().get();
    for (Duty.Exposure e : duty.exposures()) {
      String fluid = library.fluidName(e.fluid());
      Optional<Resistance> row =
          library.resistance(e.fluid(), e.concentrationPct(), face, e.temperatureC());
      if (row.isEmpty()) {
        rules.add(
            new Rule(
                Verdict.UNKNOWN,
                1,
                Say.of("It runs on %s, and the library has no row of that for %s.", face, fluid)));
      } else if (row.get().factorAt(e.temperatureC()) == 0) {
        rules.add(unsuited(Say.of("It runs on %s, which %s attacks.", face, Say.lower(fluid))));
      }
    }
  }

  /** A bolted body under pressure carries less heat than a data sheet says of its resin. */
  private static void loaded(List<Rule> rules, Material m, Duty duty) {
    double hottest = duty.hottestC();
    m.loadedC()
        .filter(most -> hottest > most)
        .ifPresent(
            most ->
                rules.add(
                    limited(
                        Say.of(
                            "Over %s °C a bolted body of it creeps under its pressure.",
                            Say.number(most)))));
  }

  /**
   * A close fit is spoilt by what a body does not mind: from halfway between full and limited a
   * metal or a coating is not fitted there.
   */
  private static void closeFit(List<Rule> rules, Material m, Duty duty, MaterialLibrary library) {
    for (Duty.Exposure e : duty.exposures()) {
      String fluid = library.fluid(e.fluid()).map(Fluid::code).orElse(e.fluid());
      library
          .resistance(fluid, e.concentrationPct(), m.code(), e.temperatureC())
          .filter(r -> r.pastHalfway(e.temperatureC()))
          .ifPresent(
              r ->
                  rules.add(
                      unsuited(
                          library.fluidName(fluid)
                              + " may roughen it: a close fit does not stand that.")));
    }
  }

  /**
   * What little of something else in a water-based fluid does, by the row of a fluid that holds
   * more of it; only what it does beyond the fluid itself.
   */
  private static void traces(
      List<Rule> rules, String role, Material m, Duty duty, MaterialLibrary library) {
    for (Like like : duty.conditions().traces().likes()) {
      if (like.trace() == Trace.CHLORIDE && !m.kind().thresholds()) {
        continue;
      }
      duty.exposures().stream()
          .filter(e -> counts(like, e, library))
          .flatMap(e -> trace(like, e, role, m, library).stream())
          .max(Comparator.comparing(Rule::verdict))
          .ifPresent(rules::add);
    }
  }

  /** A fluid that is named after its acid, alkali or oxidiser says its own. */
  private static boolean counts(Like like, Duty.Exposure e, MaterialLibrary library) {
    Optional<Fluid> fluid = library.fluid(e.fluid());
    if (fluid.filter(Fluid::waterBased).isEmpty()) {
      return false;
    }
    List<String> own =
        switch (like.trace()) {
          case CHLORIDE -> List.of();
          case ACID, ALKALI -> List.of("acid", "alkali");
          case CHLORINE -> List.of("hypochlorite", "chlorine-dioxide", "peroxide", "peracetic");
        };
    return own.stream()
        .noneMatch(g -> library.inGroup(g, fluid.get().code(), e.concentrationPct()));
  }

  private static Optional<Rule> trace(
      Like like, Duty.Exposure e, String role, Material m, MaterialLibrary library) {
    // Past its own ceiling the like fluid would be gone; what is in this one is as hot as this one.
    double t =
        library
            .ceiling(like.fluid(), like.pct())
            .map(c -> Math.min(c.maxC(), e.temperatureC()))
            .orElse(e.temperatureC());
    Optional<Resistance> row = library.resistance(like.fluid(), like.pct(), m.code(), t);
    double without =
        library
            .fluid(e.fluid())
            .flatMap(f -> library.resistance(f.code(), e.concentrationPct(), m.code(), t))
            .map(r -> r.factorAt(t))
            .orElse(1.0);
    double with = row.map(r -> r.factorAt(t)).orElse(1.0);
    if (row.isEmpty() || with >= without) {
      return Optional.empty();
    }
    boolean metal = m.kind().thresholds();
    boolean rough = metal && CLOSE_FIT.contains(role) && row.get().pastHalfway(t);
    String what = row.get().effect().map(Code::code).orElse("attacks");
    String said =
        Say.of(
            "%s %s it in %s at %s °C.",
            like.said(),
            what,
            Say.lower(library.fluidName(e.fluid())),
            Say.number(e.temperatureC()));
    if (with == 0 || rough) {
      return Optional.of(unsuited(said));
    }
    return Optional.of(new Rule(Verdict.LIMITED, metal ? 1 : with / without, said));
  }

  /** Nobody knows whether it leads charge away: where that matters, nothing is promised. */
  private static void unknownCharge(List<Rule> rules, Duty duty) {
    duty.conditions()
        .zone()
        .filter(z -> z != Zone.NONE)
        .ifPresent(
            z ->
                rules.add(
                    new Rule(
                        Verdict.UNKNOWN,
                        1,
                        "Nobody here knows whether it leads static away: ask its maker.")));
  }

  /** A part that holds its charge where that can set something off. */
  private static void charge(List<Rule> rules, String role, Duty duty, MaterialLibrary library) {
    Zone zone = duty.conditions().zone().orElse(Zone.NONE);
    if (zone == Zone.EXPLOSIVE) {
      rules.add(
          unsuited(
              "It does not lead static away; in an explosive zone the wetted "
                  + role
                  + " conducts and is earthed."));
    } else if (zone == Zone.STATIC) {
      rules.add(limited("It holds static: take a conducting grade, and earth it."));
    } else if (duty.conditions().zone().isEmpty()) {
      duty.exposures().stream()
          .filter(e -> flammable(e, library))
          .findFirst()
          .ifPresent(
              e ->
                  rules.add(
                      limited(
                          library.fluidName(e.fluid())
                              + " can burn at this temperature and it holds static: take a"
                              + " conducting grade, earth it, ask who is licensed.")));
    }
  }

  static boolean flammable(Duty.Exposure e, MaterialLibrary library) {
    return library
        .fluid(e.fluid())
        .flatMap(Fluid::flashC)
        .filter(f -> e.temperatureC() >= f - FLASH_MARGIN_K)
        .isPresent();
  }

  /** Factor 1 up to 1 bar, falling evenly to 0.5 at the rated pressure. */
  private static void pressure(List<Rule> rules, Material m, Conditions c) {
    if (c.pressureBar().isEmpty() || m.maxBar().isEmpty()) {
      return;
    }
    double bar = c.pressureBar().get();
    double rated = m.maxBar().get();
    if (bar > rated) {
      rules.add(
          unsuited(Say.of("%s bar is over its rated %s bar.", Say.number(bar), Say.number(rated))));
    } else if (bar > 1 && rated > 1) {
      double factor = 1 - 0.5 * (bar - 1) / (rated - 1);
      rules.add(
          new Rule(
              Verdict.SUITED,
              factor,
              Say.of("%s bar leaves %.0f %% of its life.", Say.number(bar), factor * 100)));
    }
  }

  private static void ball(List<Rule> rules, Material m, Duty duty, MaterialLibrary library) {
    Optional<Double> ball = m.densityKgM3();
    if (ball.isEmpty()) {
      return;
    }
    // What it pumps most of the time decides: a short rinse that floats a ball only wets it.
    double fluid =
        duty.conditions()
            .densityKgM3()
            .or(
                () ->
                    duty.exposures().stream()
                        .max(Comparator.comparingDouble(Duty.Exposure::share))
                        .flatMap(e -> library.density(e.fluid(), e.concentrationPct(), e.usualC())))
            .orElse(0.0);
    double viscosity = duty.conditions().viscosityMpas().orElse(Double.NaN);
    if (ball.get() <= fluid * SINKS) {
      rules.add(
          unsuited(
              Say.of(
                  "At %s kg/m³ it floats in a fluid of %s kg/m³ and never seats.",
                  Say.number(ball.get()), Say.number(fluid))));
    } else if (viscosity > VISCOUS_MPAS && ball.get() < LIGHT_KG_M3) {
      rules.add(
          limited(
              Say.of(
                  "A light ball seats late in a fluid of %s mPa·s: take a heavier one.",
                  Say.number(viscosity))));
    } else if (viscosity < THIN_MPAS && ball.get() > HEAVY_KG_M3) {
      rules.add(limited("A heavy ball bounces in a thin fluid and beats out its seat."));
    }
  }

  /** What pairs of parts do to each other. */
  static List<WholeRating.PairRule> pairs(Map<String, Material> parts, Duty duty) {
    List<WholeRating.PairRule> rules = new ArrayList<>();
    Material ball = parts.get(Roles.BALL);
    Material seat = parts.get(Roles.SEAT);
    if (ball != null && seat != null) {
      if (!soft(ball) && !soft(seat)) {
        rules.add(
            new WholeRating.PairRule(
                Roles.BALL,
                Verdict.LIMITED,
                Say.of(
                    "A hard ball of %s on a hard seat of %s never quite shuts: one of the two is"
                        + " soft.",
                    ball.code(), seat.code())));
      } else if (soft(ball) && soft(seat)) {
        rules.add(
            new WholeRating.PairRule(
                Roles.SEAT,
                Verdict.LIMITED,
                Say.of(
                    "A soft ball of %s sticks on a soft seat of %s: one of the two is hard.",
                    ball.code(), seat.code())));
      }
      if (soft(seat) && duty.abrasion().compareTo(Duty.Abrasion.MEDIUM) >= 0) {
        rules.add(
            new WholeRating.PairRule(
                Roles.SEAT, Verdict.LIMITED, "Solids bed into a soft seat and cut it."));
      }
    }
    return rules;
  }

  private static boolean soft(Material m) {
    return m.kind() == MaterialKind.ELASTOMER || m.isOrIsFrom("PTFE");
  }

  private static Rule unsuited(String reason) {
    return new Rule(Verdict.UNSUITED, 1, reason);
  }

  private static Rule limited(String reason) {
    return new Rule(Verdict.LIMITED, 1, reason);
  }
}
