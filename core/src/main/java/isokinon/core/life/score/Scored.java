package isokinon.core.life.score;

import isokinon.core.value.Range;

/**
 * A forecast of a set, and what came.
 *
 * @param said chance of failing before its date, 0 to 1
 * @param failed whether it failed before
 */
public record Scored(double said, boolean failed) {

  /** A forecast that was scored. */
  public Scored {
    Range.check("said", said, 0, 1);
  }

  /** How much what came surprised: -ln of the chance that was given to it. */
  public double surprise() {
    return -Math.log(Math.max(1e-9, failed ? said : 1 - said));
  }
}
