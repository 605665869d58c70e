package isokinon.core.material.flags;

import isokinon.core.material.Ceiling;
import isokinon.core.material.Effect;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialKind;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.value.Code;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What cannot be, looked for in rows of resistance. A flag is no proof of an error: it is a row to
 * look at again before a part is put in on its advice.
 */
public final class LibraryFlags {

  /** Why a row cannot be right as it stands. */
  public enum Flag implements Code {
    /** Water with something in it attacks no less than water does. */
    KINDER_THAN_WATER("kinder than plain water"),
    /** A filled, cured or coated grade is no better than what it is made from. */
    BETTER_THAN_ITS_BASE("better than what it is made from"),
    /** Carbon powder in a part is attacked where carbon is. */
    CARBON_IN_IT_OXIDISES("kinder than the carbon in it allows"),
    /** Alkali takes polyesters apart faster than water. */
    POLYESTER_IN_ALKALI("kinder than a polyester in alkali is"),
    /** More of the same attacks no less. */
    STRONGER_IS_KINDER("kinder than the weaker fluid"),
    /** The fluid itself does not go so hot. */
    PAST_THE_CEILING("past the ceiling of the fluid"),
    /** Two bands of a pair say something of the same strength. */
    BANDS_OVERLAP("of a strength that another row has"),
    /** It does more than water, and nobody is told what. */
    EFFECT_NOT_SAID("without a word for what the fluid does");

    private final String words;

    Flag(String words) {
      this.words = words;
    }

    /** In words, as the end of a sentence that begins with "it is". */
    public String words() {
      return words;
    }
  }

  /** A note that begins so says why a stronger fluid is kinder. */
  public static final String KINDER_WHEN_STRONG = "kinder when strong";

  private static final Set<String> POLYESTERS = Set.of("AU", "TPC-ET");
  private static final String ALKALI = "alkali";
  private static final double NEVER_C = -300;

  /** So much under water a polyester ends in alkali, K. */
  private static final double ALKALI_K = 10;

  /** Up to here a little carbon powder is left to the PTFE around it, degC. */
  private static final double POWDER_C = 60;

  private final MaterialLibrary library;

  /** Flags by what this library says of water, bases and ceilings. */
  public LibraryFlags(MaterialLibrary library) {
    this.library = library;
  }

  /** What cannot be of this row, which need not be of the library; empty where nothing is odd. */
  public List<Flag> of(Resistance row) {
    List<Flag> flags = new ArrayList<>();
    Optional<Fluid> fluid = library.fluid(row.fluid());
    Optional<Material> material = library.material(row.material());
    Optional<Resistance> water =
        library.rows(Fluid.WATER, row.material()).stream().filter(r -> !r.own()).findFirst();
    if (fluid.filter(Fluid::waterBased).isPresent()
        && water.filter(w -> kinder(row, w)).isPresent()) {
      flags.add(Flag.KINDER_THAN_WATER);
    }
    if (material.filter(m -> betterThanBase(row, m)).isPresent()) {
      flags.add(Flag.BETTER_THAN_ITS_BASE);
    }
    if (row.material().equals("PTFE-CD25")
        && full(row) > POWDER_C
        && beside(row, "carbon").filter(LibraryFlags::oxidised).isPresent()) {
      flags.add(Flag.CARBON_IN_IT_OXIDISES);
    }
    if (POLYESTERS.contains(row.material())
        && library.inGroup(ALKALI, row.fluid(), row.toPct())
        && water.filter(w -> limited(row) > limited(w) - ALKALI_K).isPresent()) {
      flags.add(Flag.POLYESTER_IN_ALKALI);
    }
    neighbours(row, flags);
    Optional<Ceiling> ceiling = library.ceiling(row.fluid(), row.fromPct());
    if (ceiling.filter(c -> limited(row) > c.maxC()).isPresent()) {
      flags.add(Flag.PAST_THE_CEILING);
    }
    boolean onlyCeiling =
        ceiling.filter(c -> limited(row) == c.maxC() && full(row) == c.maxC()).isPresent();
    if (row.effect().isEmpty()
        && fluid.filter(f -> !f.code().equals("air")).isPresent()
        && water.filter(w -> kinder(w, row)).isPresent()
        && !onlyCeiling) {
      flags.add(Flag.EFFECT_NOT_SAID);
    }
    return flags;
  }

  private void neighbours(Resistance row, List<Flag> flags) {
    for (Resistance other : library.rows(row.fluid(), row.material())) {
      if (other.own() || other.key().equals(row.key())) {
        continue;
      }
      if (other.toPct() <= row.fromPct()
          && kinder(row, other)
          && !row.note().startsWith(KINDER_WHEN_STRONG)
          && !flags.contains(Flag.STRONGER_IS_KINDER)) {
        flags.add(Flag.STRONGER_IS_KINDER);
      }
      if (!row.own()
          && other.fromPct() < row.toPct()
          && row.fromPct() < other.toPct()
          && !flags.contains(Flag.BANDS_OVERLAP)) {
        flags.add(Flag.BANDS_OVERLAP);
      }
    }
  }

  /** Two rubbers that both only swell may differ: a plastic around the rubber holds it. */
  private boolean betterThanBase(Resistance row, Material material) {
    return material
        .base()
        .flatMap(base -> beside(row, base))
        .filter(base -> !(swells(row) || swells(base)) || !elastomer(material))
        .filter(base -> kinder(row, base))
        .isPresent();
  }

  private static boolean elastomer(Material material) {
    return material.kind() == MaterialKind.ELASTOMER;
  }

  private static boolean swells(Resistance row) {
    return row.effect().equals(Optional.of(Effect.SWELLS));
  }

  private static boolean oxidised(Resistance row) {
    return row.effect().equals(Optional.of(Effect.OXIDISES)) && row.limitedC().isEmpty();
  }

  /** The row of the same fluid and strength for another material. */
  private Optional<Resistance> beside(Resistance row, String material) {
    return library.rows(row.fluid(), material).stream()
        .filter(r -> !r.own() && r.fromPct() <= row.fromPct() && r.toPct() >= row.toPct())
        .findFirst();
  }

  private static double limited(Resistance row) {
    return row.limitedC().orElse(NEVER_C);
  }

  private static double full(Resistance row) {
    return row.fullC().orElse(NEVER_C);
  }

  private static boolean kinder(Resistance row, Resistance than) {
    return limited(row) > limited(than) || full(row) > full(than);
  }
}
