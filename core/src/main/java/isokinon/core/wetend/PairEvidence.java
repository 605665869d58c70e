package isokinon.core.wetend;

import isokinon.core.material.Resistance;
import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What this shop has seen of a material in a fluid, held against the library. Limits are the usual
 * ones for elastomers: a hardness change of 5 Shore A is a warning, of 10 an attack; a volume swell
 * of 8 % a warning, of 15 % an attack (swell: shop rule).
 */
public final class PairEvidence {

  private static final double HARDNESS_WATCH = 5;
  private static final double HARDNESS_ATTACK = 10;
  private static final double SWELL_WATCH = 8;
  private static final double SWELL_ATTACK = 15;

  /** So many sound runs speak against a library that rules a material out (shop rule). */
  private static final int SOUND_RUNS = 3;

  /** What was seen. */
  public enum Kind implements Code {
    /** Change of hardness since new, Shore A; softer is negative. */
    HARDNESS,
    /** Change of volume since new, %. */
    SWELL,
    /** A part that failed by chemical attack. */
    ATTACKED,
    /** A part taken out sound. */
    SOUND
  }

  /**
   * One thing seen.
   *
   * @param kind what
   * @param value Shore A or %; 0 for the others
   * @param temperatureC at this temperature, degC
   * @param concentrationPct at this strength, %
   */
  public record Seen(Kind kind, double value, double temperatureC, double concentrationPct) {

    /** 0 nothing, 1 a warning, 2 an attack. */
    int severity() {
      return switch (kind) {
        case HARDNESS -> step(Math.abs(value), HARDNESS_WATCH, HARDNESS_ATTACK);
        case SWELL -> step(Math.abs(value), SWELL_WATCH, SWELL_ATTACK);
        case ATTACKED -> 2;
        case SOUND -> 0;
      };
    }

    private static int step(double value, double watch, double attack) {
      return value >= attack ? 2 : value >= watch ? 1 : 0;
    }

    private String words() {
      return switch (kind) {
        case HARDNESS ->
            Say.of(
                "it went %s Shore A %s",
                Say.number(Math.abs(value)), value < 0 ? "softer" : "harder");
        case SWELL -> Say.of("it swelled %s %%", Say.number(value));
        case ATTACKED -> "a part was attacked until it failed";
        case SOUND -> "a part came out sound";
      };
    }
  }

  /**
   * Where what was seen and the library disagree.
   *
   * @param sentence what disagrees with what
   * @param fullC full resistance that would agree with both, degC; empty for attacked at once
   * @param limitedC last limit that would agree, degC; empty for never
   */
  public record Contradiction(String sentence, Optional<Double> fullC, Optional<Double> limitedC) {}

  private PairEvidence() {}

  /**
   * Whether what was seen contradicts a row.
   *
   * @param row the row that counts; empty where the library has none, which nothing contradicts
   * @param seen what was seen within the row's band
   */
  public static Optional<Contradiction> against(Optional<Resistance> row, List<Seen> seen) {
    if (row.isEmpty()) {
      return Optional.empty();
    }
    Resistance r = row.get();
    Optional<Seen> worse =
        seen.stream()
            .filter(s -> s.severity() > 0 && expectedSeverity(r, s.temperatureC()) < s.severity())
            .max(
                Comparator.comparingInt(Seen::severity)
                    .thenComparingDouble(s -> -s.temperatureC()));
    if (worse.isPresent()) {
      return worse.map(s -> attacked(r, s));
    }
    List<Seen> sound =
        seen.stream()
            .filter(s -> s.severity() == 0 && r.factorAt(s.temperatureC()) == 0)
            .sorted(Comparator.comparingDouble(Seen::temperatureC))
            .toList();
    boolean anyHurt = seen.stream().anyMatch(s -> s.severity() > 0);
    return sound.size() >= SOUND_RUNS && !anyHurt
        ? Optional.of(stood(sound.size(), sound.get(sound.size() - 1).temperatureC()))
        : Optional.empty();
  }

  /** What the library lets one expect: 0 nothing, 1 some ageing, 2 an attack. */
  private static int expectedSeverity(Resistance r, double t) {
    double factor = r.factorAt(t);
    return factor == 1 ? 0 : factor > 0 ? 1 : 2;
  }

  private static Contradiction attacked(Resistance r, Seen s) {
    String library =
        r.factorAt(s.temperatureC()) == 1
            ? Say.of("full resistance up to %s °C", Say.number(r.fullC().orElse(0.0)))
            : Say.of("limited life up to %s °C", Say.number(r.limitedC().orElse(0.0)));
    double t = s.temperatureC();
    return new Contradiction(
        Say.of("The library has %s, but here at %s °C %s.", library, Say.number(t), s.words()),
        s.severity() == 2 ? r.fullC().map(f -> Math.min(f, t - 20)) : Optional.of(t - 10),
        s.severity() == 2 ? Optional.of(t - 1) : r.limitedC().map(l -> Math.max(l, t)));
  }

  private static Contradiction stood(int runs, double t) {
    return new Contradiction(
        Say.of(
            "The library rules it out, but here %d parts came out sound, the hottest at %s °C.",
            runs, Say.number(t)),
        Optional.empty(),
        Optional.of(t));
  }
}
