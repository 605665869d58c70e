package isokinon.core.diagnosis;

import isokinon.core.value.InvalidQuantity;
import isokinon.core.value.Range;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How likely each of several explanations is. They exclude each other and one of them is taken to
 * be true. Starts from base rates and takes in evidence by Bayes' rule, each piece taken to be
 * independent of the others once the explanation is known.
 */
public final class Belief {

  private static final double LN2 = Math.log(2);

  private final Map<String, Double> chances;

  private Belief(Map<String, Double> chances) {
    this.chances = chances;
  }

  /** An explanation and its chance, 0 to 1. */
  public record Ranked(String id, double chance) {}

  /**
   * The mean of a Dirichlet distribution: library pseudo-counts and what was confirmed here.
   *
   * @param pseudoCounts weight of the library for each explanation, over 0
   * @param confirmed how often each turned out true in this shop; others are left out
   * @throws IllegalArgumentException where there is no explanation, or a count is not over 0
   */
  public static Belief of(Map<String, Double> pseudoCounts, Map<String, Integer> confirmed) {
    if (pseudoCounts.isEmpty()) {
      throw new InvalidQuantity(
          "pseudoCounts", "pseudoCounts: at least one explanation is needed.");
    }
    Map<String, Double> counts = new LinkedHashMap<>();
    pseudoCounts.forEach(
        (id, count) -> {
          Range.check("pseudoCounts of " + id, count, 1e-6, 1e9);
          int seen = confirmed.getOrDefault(id, 0);
          Range.check("confirmed of " + id, seen, 0, 1e9);
          counts.put(id, count + seen);
        });
    return new Belief(normed(counts));
  }

  /** What is believed once {@code evidence} is known. */
  public Belief given(Evidence evidence) {
    Map<String, Double> weighed = new LinkedHashMap<>();
    chances.forEach((id, p) -> weighed.put(id, p * evidence.under(id)));
    return new Belief(normed(weighed));
  }

  /** What is believed once all of it is known. */
  public Belief given(List<Evidence> all) {
    Belief belief = this;
    for (Evidence e : all) {
      belief = belief.given(e);
    }
    return belief;
  }

  /** Chance of one explanation, 0 to 1. */
  public double of(String id) {
    return chances.getOrDefault(id, 0.0);
  }

  /** Chance of seeing what {@code evidence} says, over all explanations. */
  public double expects(Evidence evidence) {
    return chances.entrySet().stream()
        .mapToDouble(e -> e.getValue() * evidence.under(e.getKey()))
        .sum();
  }

  /** How open the question is, bits: 0 where one is certain, log2 n where all are alike. */
  public double entropyBits() {
    return -chances.values().stream()
        .filter(p -> p > 0)
        .mapToDouble(p -> p * Math.log(p) / LN2)
        .sum();
  }

  /** Explanations by chance, the likeliest first. */
  public List<Ranked> ranked() {
    List<Ranked> ranked = new ArrayList<>();
    chances.forEach((id, p) -> ranked.add(new Ranked(id, p)));
    ranked.sort(Comparator.comparingDouble(Ranked::chance).reversed());
    return List.copyOf(ranked);
  }

  /**
   * Weight of evidence for one explanation against all others taken together, bits: over 0 it
   * raised it, under 0 it lowered it.
   */
  public double weightBits(Evidence evidence, String id) {
    double own = of(id);
    double rest = expects(evidence) - own * evidence.under(id);
    return own >= 1 ? 0 : Math.log(evidence.under(id) / (rest / (1 - own))) / LN2;
  }

  private static Map<String, Double> normed(Map<String, Double> counts) {
    double sum = counts.values().stream().mapToDouble(Double::doubleValue).sum();
    Map<String, Double> shares = new LinkedHashMap<>();
    counts.forEach((id, c) -> shares.put(id, c / sum));
    return shares;
  }
}
