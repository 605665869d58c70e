package isokinon.core.life;

import isokinon.core.value.Code;
import java.util.List;
import java.util.Locale;

/** What ends the life of a wear part, as far as it decides what can be done about it. */
public enum FailureCause implements Code {
  /** The fluid takes its strength: it comes with age too, and a better material puts it off. */
  ATTACKED(
      true,
      List.of(
          "chemical",
          "attack",
          "swollen",
          "swelled",
          "oxidised",
          "softened",
          "dissolved",
          "strength",
          "caustic")),
  /** Grit, strokes and time: renewal by age plans it away. */
  WORE_OUT(
      true, List.of("worn", "wore", "abra", "fatigue", "flex", "split", "crack", "seam", "perish")),
  /** It ran without liquid: a guard against dry running prevents it, age does not. */
  RAN_DRY(false, List.of("ran dry", "dry run", "dry-run", "run dry", "burnt")),
  /** Something hard came through: a strainer prevents it, age does not. */
  FOREIGN_BODY(false, List.of("foreign", "torn", "stone", "metal part", "punctur")),
  /** More pressure than it stands: a relief valve prevents it, age does not. */
  OVERPRESSURE(false, List.of("overpressure", "over-pressure", "burst", "blocked", "closed valve")),
  /** A fault of the rebuild: a better build and its proof prevent it, age does not. */
  BUILD(
      false, List.of("fitted wrong", "wrong way", "rebuild", "loose", "not tightened", "pinched")),
  /** Nobody said what, or in no words that are known. */
  UNKNOWN(true, List.of());

  private final boolean byAge;
  private final List<String> words;

  FailureCause(boolean byAge, List<String> words) {
    this.byAge = byAge;
    this.words = words;
  }

  /** Whether it is expected to come with age; else something other than renewal prevents it. */
  public boolean byAge() {
    return byAge;
  }

  /**
   * The cause that a shop's own words tell of. Those that age does not prevent are looked for
   * first: what wore out because it ran dry ran dry.
   */
  public static FailureCause ofWords(String said) {
    String lower = said.toLowerCase(Locale.ROOT);
    for (boolean aged : new boolean[] {false, true}) {
      for (FailureCause cause : values()) {
        if (cause.byAge == aged && cause.words.stream().anyMatch(lower::contains)) {
          return cause;
        }
      }
    }
    return UNKNOWN;
  }
}
