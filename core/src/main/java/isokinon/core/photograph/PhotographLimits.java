package isokinon.core.photograph;

import java.util.Optional;

/**
 * How many photographs a job may hold, and how large each may be. What is more would fill the
 * shop's disk without telling more: at these, a thousand jobs hold 16 GB at most and about 1 GB as
 * shops take them.
 */
public final class PhotographLimits {

  /** Of one part, step or energy. */
  public static final int OF_A_SUBJECT = 8;

  /** Of one job. */
  public static final int OF_A_JOB = 40;

  /** Longer side of a picture, pixels: a crack of 0.3 mm shows on a part of 200 mm. */
  public static final int LONG_SIDE = 1_280;

  /** Bytes of a picture. */
  public static final int BYTES = 300_000;

  private PhotographLimits() {}

  /**
   * Why one more cannot be taken; empty where it can.
   *
   * @param ofSubject photographs of the same subject so far
   * @param ofJob photographs of the job so far
   */
  public static Optional<String> full(int ofSubject, int ofJob) {
    if (ofSubject >= OF_A_SUBJECT) {
      return Optional.of(
          "There are " + ofSubject + " photographs of it already, as many as may be: remove one.");
    }
    return ofJob >= OF_A_JOB
        ? Optional.of(
            "This job has " + ofJob + " photographs, as many as may be: remove one first.")
        : Optional.empty();
  }
}
