package isokinon.core.material;

import isokinon.core.value.Code;

/** How well a row of the library is known, best first. */
public enum Knowledge implements Code {
  /** Agreed on by everybody who tests it, and tried for decades. */
  KNOWN(0.5),
  /** What practitioners usually find; grades and traces move it. */
  USUAL(0.7),
  /** Carried over from a kin material, a neighbouring strength or a like fluid. */
  THIN(0.9);

  private final double spread;

  Knowledge(double spread) {
    this.spread = spread;
  }

  /**
   * Standard deviation of the logarithm of a mean life that such a row tells of (shop rule): the
   * greater, the more this shop's own runs move it.
   */
  public double spread() {
    return spread;
  }

  /** The less sure of two. */
  public Knowledge and(Knowledge other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
