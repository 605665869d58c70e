package isokinon.core.material;

import isokinon.core.value.Code;

/**
 * The temperature that a fluid itself does not go beyond in a pump, whatever the pump is made of.
 *
 * @param fluid fluid code
 * @param fromPct lowest strength, %
 * @param toPct highest strength, %
 * @param maxC highest temperature, °C, in a pump that is open to the air at one end
 * @param because what it does above
 */
public record Ceiling(String fluid, double fromPct, double toPct, double maxC, Why because) {

  /** What a fluid does above its ceiling. */
  public enum Why implements Code {
    BOILS("boils"),
    DECOMPOSES("decomposes"),
    SELF_HEATS("heats itself up, faster and faster"),
    GASES("gives off its gas"),
    SETS("sets in the pump");

    private final String words;

    Why(String words) {
      this.words = words;
    }

    /** As the end of a sentence that begins with the fluid. */
    public String words() {
      return words;
    }
  }

  /** Whether {@code pct} lies in its band. */
  public boolean holds(double pct) {
    return pct >= fromPct && pct <= toPct;
  }
}
