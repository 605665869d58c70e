package isokinon.core.material;

import isokinon.core.value.Code;

/** How well a row of the library is known, best first. */
public enum Knowledge implements Code {
  /** Agreed on by everybody who tests it, and tried for decades. */
  KNOWN(3),
  /** What practitioners usually find; grades and traces move it. */
  USUAL(2),
  /** Carried over from a kin material, a neighbouring strength or a like fluid. */
  THIN(1.3);

  private final double failures;

  Knowledge(double failures) {
    this.failures = failures;
  }

  /**
   * As many sets that gave out at the life it tells of would make one as sure (shop rule): the
   * fewer, the wider the band around that life.
   */
  public double failures() {
    return failures;
  }

  /** The less sure of two. */
  public Knowledge and(Knowledge other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
