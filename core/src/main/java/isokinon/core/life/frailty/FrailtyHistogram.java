package isokinon.core.life.frailty;

import java.util.Arrays;

/**
 * What is believed of the frailty of one pump: σz, by which its ln life is over the ordinary one.
 */
final class FrailtyHistogram {

  private static final double REACH = 6;
  private static final int PER_ONE = 40;
  private static final int BINS = (int) (2 * REACH * PER_ONE);

  private final double[] weights = new double[BINS + 1];

  /** A point between two steps goes to both. */
  void add(double frailty, double weight) {
    double place = Math.min(BINS - 1e-9, Math.max(0, (frailty + REACH) * PER_ONE));
    int bin = (int) place;
    weights[bin] += weight * (bin + 1 - place);
    weights[bin + 1] += weight * (place - bin);
  }

  /** How many times as fast it wears as an ordinary pump: exp(-σz). */
  Marginal wear() {
    return new Marginal(Math.exp(-at(0.95)), Math.exp(-at(0.5)), Math.exp(-at(0.05)));
  }

  private double at(double probability) {
    double whole = Arrays.stream(weights).sum();
    double sum = 0;
    for (int i = 0; i <= BINS; i++) {
      double next = sum + weights[i];
      if (next >= probability * whole) {
        // The weight of a step lies evenly half a step to both sides of it.
        double share = (probability * whole - sum) / weights[i];
        return (i - 0.5 + share) / PER_ONE - REACH;
      }
      sum = next;
    }
    return REACH;
  }
}
