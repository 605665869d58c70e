package isokinon.core.wear;

/**
 * Measures of parts whose meaning the program knows. A sheet may ask for others, which are held to
 * their limits and nothing more.
 */
public final class Measures {

  /** Change of hardness since new, Shore A; softer is negative. */
  public static final String HARDNESS_CHANGE = "hardness-change";

  /** Growth of volume since new, %. */
  public static final String SWELL = "swell";

  /** Torque at which a magnetic coupling slips, N·m. */
  public static final String PULL_OFF_TORQUE = "pull-off-torque";

  private Measures() {}
}
