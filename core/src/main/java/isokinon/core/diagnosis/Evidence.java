package isokinon.core.diagnosis;

import isokinon.core.value.Range;
import java.util.Map;

/**
 * Something that was seen, or looked for and not seen.
 *
 * @param id what it is
 * @param seen whether it was there
 * @param likelihood chance of seeing it under each explanation, 0 to 1
 * @param otherwise that chance under an explanation that is not named, 0 to 1
 */
public record Evidence(String id, boolean seen, Map<String, Double> likelihood, double otherwise) {

  /** No sighting is certain: nothing seen rules an explanation out for good. */
  private static final double SURE = 0.99;

  /** Checks the chances. */
  public Evidence {
    likelihood = Map.copyOf(likelihood);
    likelihood.forEach((e, p) -> Range.check(id + " under " + e, p, 0, 1));
    Range.check(id + " otherwise", otherwise, 0, 1);
  }

  /** The same, turned round: it was looked for and was not, or was, there. */
  public Evidence as(boolean nowSeen) {
    return new Evidence(id, nowSeen, likelihood, otherwise);
  }

  /** Chance of what was seen where {@code explanation} is the truth, between 0.01 and 0.99. */
  public double under(String explanation) {
    double p = Math.min(SURE, Math.max(1 - SURE, likelihood.getOrDefault(explanation, otherwise)));
    return seen ? p : 1 - p;
  }
}
