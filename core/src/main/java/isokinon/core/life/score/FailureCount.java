package isokinon.core.life.score;

import java.util.List;

/**
 * How many of some sets fail where each has a chance of its own: the Poisson binomial distribution,
 * by adding one set after another. Cost: sets².
 */
final class FailureCount {

  private final double[] chances;

  FailureCount(List<Scored> sets) {
    double[] of = {1};
    for (Scored s : sets) {
      double[] next = new double[of.length + 1];
      for (int i = 0; i < of.length; i++) {
        next[i] += of[i] * (1 - s.said());
        next[i + 1] += of[i] * s.said();
      }
      of = next;
    }
    chances = of;
  }

  /** The fewest that are not undercut with more than this chance. */
  int quantile(double probability) {
    double sum = 0;
    for (int i = 0; i < chances.length; i++) {
      sum += chances[i];
      if (sum >= probability) {
        return i;
      }
    }
    return chances.length - 1;
  }
}
