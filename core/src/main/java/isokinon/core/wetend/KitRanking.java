package isokinon.core.wetend;

import isokinon.core.life.LibraryLife;
import isokinon.core.life.Weibull;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.life.frailty.WeibullMixture;
import isokinon.core.material.Knowledge;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary.BaseLife;
import isokinon.core.renewal.RenewalCost;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Wet ends against each other, by what an hour with each costs: kit, labour, other hardware, and
 * the stops to be expected, over the life that the library and this shop's runs lead one to expect.
 */
public final class KitRanking {

  private final WetEndRater rater;

  /** A ranking by the library of {@code rater}. */
  public KitRanking(WetEndRater rater) {
    this.rater = rater;
  }

  /**
   * A wet end that could go in.
   *
   * @param id names it in the answer
   * @param parts material of each role, the leading role first
   * @param renewed roles that the kit renews; the shortest-lived of them decides the life
   * @param lead leading role, the one that the runs are of
   * @param price kit, in money
   * @param minutes labour of the plan
   * @param hardwarePrice other plates, shaft or rotor it needs once, in money
   * @param known life of the leading part in this material and duty by this shop's runs, in mean
   *     lives of the library; empty where there are none
   */
  public record Candidate(
      CandidateId id,
      Map<String, Material> parts,
      Set<String> renewed,
      String lead,
      double price,
      double minutes,
      double hardwarePrice,
      Optional<WeibullMixture> known) {}

  /**
   * What time and stops cost.
   *
   * @param labourPerHour an hour of a technician
   * @param stopCost a stop by failure beyond kit and labour: lost production, clean-up
   * @param hardwareHours running hours that other hardware is written off over
   */
  public record Money(double labourPerHour, double stopCost, double hardwareHours) {}

  /**
   * How long it lasts.
   *
   * @param role the part that gives out first
   * @param mean middle of what is believed of the mean life, h
   * @param low lower end of nine in ten of it, h
   * @param high upper end, h
   * @param life what it comes from
   */
  public record Life(String role, double mean, double low, double high, WeibullMixture life) {}

  /**
   * What it costs.
   *
   * @param per1000h money for 1000 running hours
   * @param low with the longest life of nine in ten
   * @param high with the shortest
   * @param changeAt age to change it at, h; empty where running it until it fails is cheapest
   * @param stopsPer1000h failures to expect in 1000 running hours
   * @param once money for other hardware
   */
  public record Cost(
      double per1000h,
      double low,
      double high,
      Optional<Double> changeAt,
      double stopsPer1000h,
      double once) {}

  /** A candidate rated; life and cost are empty where it is unfit, or no base life is known. */
  public record Ranked(
      Candidate candidate, WholeRating whole, Optional<Life> life, Optional<Cost> cost) {}

  /** Candidates, those that fit first, cheapest first. */
  public List<Ranked> rank(Duty duty, List<Candidate> candidates, Money money) {
    return candidates.stream()
        .map(c -> ranked(duty, c, money))
        .sorted(
            Comparator.comparing((Ranked r) -> r.whole().verdict().fits() ? 0 : 1)
                .thenComparing(r -> r.cost().map(Cost::per1000h).orElse(Double.MAX_VALUE))
                .thenComparing(r -> r.whole().verdict())
                .thenComparing(r -> r.candidate().id()))
        .toList();
  }

  private Ranked ranked(Duty duty, Candidate c, Money money) {
    WholeRating whole = rater.whole(duty, c.parts());
    Optional<Life> life = whole.verdict().fits() ? life(whole, c) : Optional.empty();
    return new Ranked(c, whole, life, life.map(l -> cost(l, c, money)));
  }

  private Optional<Life> life(WholeRating whole, Candidate c) {
    return expected(whole, c).stream()
        .map(KitRanking::life)
        .min(Comparator.comparingDouble(Life::mean));
  }

  private static Life life(Expected e) {
    WeibullMixture life = e.relative().longer(e.mean());
    Marginal mean = life.meanBand();
    return new Life(e.role(), mean.median(), mean.low(), mean.high(), life);
  }

  /** What the library expects of a part that the kit renews, and what the runs make of it. */
  private record Expected(
      String role, double shape, double mean, Knowledge row, Optional<WeibullMixture> known) {

    /** Its life in mean lives of the library. */
    WeibullMixture relative() {
      return known.orElseGet(() -> LibraryLife.of(shape, row.spread()));
    }

    /** With no runs the library's mean is the middle. */
    double meanLife() {
      return known.map(k -> mean * k.meanBand().median()).orElse(mean);
    }
  }

  /** Every part that the kit renews and the library knows a life of. */
  private List<Expected> expected(WholeRating whole, Candidate c) {
    List<Expected> expected = new ArrayList<>();
    for (WholeRating.Part part : whole.parts()) {
      Optional<Double> factor = part.rating().factor();
      if (c.renewed().contains(part.role()) && factor.isPresent()) {
        Optional<BaseLife> base = rater.library().baseLife(part.role(), part.rating().material());
        base.ifPresent(
            b ->
                expected.add(
                    new Expected(
                        part.role(),
                        b.shape(),
                        b.hours() * factor.get(),
                        part.rating().known(),
                        part.role().equals(c.lead()) ? c.known() : Optional.empty())));
      }
    }
    return expected;
  }

  private static Cost cost(Life life, Candidate c, Money money) {
    double planned = spend(c, money);
    double failed = planned + money.stopCost();
    RenewalCost best = RenewalCost.best(life.life(), planned, failed);
    double shape = life.life().scaleBelief().shape();
    double hardware = 1000 * c.hardwarePrice() / money.hardwareHours();
    return new Cost(
        1000 * best.rate() + hardware,
        1000 * rateAt(best.age(), life.high(), shape, planned, failed) + hardware,
        1000 * rateAt(best.age(), life.low(), shape, planned, failed) + hardware,
        Double.isInfinite(best.age()) ? Optional.empty() : Optional.of(best.age()),
        1000 * life.life().failureRate(best.age()),
        c.hardwarePrice());
  }

  private static double spend(Candidate c, Money money) {
    return c.price() + c.minutes() / 60 * money.labourPerHour();
  }

  private static double rateAt(
      double age, double mean, double shape, double planned, double failed) {
    Weibull life = new Weibull(shape, mean / new Weibull(shape, 1).meanLife());
    return RenewalCost.at(age, life, planned, failed);
  }

  /**
   * Which one leads and which ones fit, by the same library lives and runs but without the best age
   * to change: quick enough to ask for hundreds of duties.
   */
  public ChoiceOutcome standing(Duty duty, List<Candidate> candidates, Money money) {
    Set<CandidateId> fit = new HashSet<>();
    Set<CandidateId> unknown = new HashSet<>();
    CandidateId leader = null;
    double least = Double.POSITIVE_INFINITY;
    for (Candidate c : candidates) {
      WholeRating whole = rater.whole(duty, c.parts());
      if (whole.verdict() == Rating.Verdict.UNKNOWN) {
        unknown.add(c.id());
      } else if (whole.verdict().fits()) {
        fit.add(c.id());
        double rate =
            meanLife(whole, c)
                .map(
                    l ->
                        (spend(c, money) + money.stopCost() / 2) / l
                            + c.hardwarePrice() / money.hardwareHours())
                .orElse(Double.MAX_VALUE);
        if (rate < least) {
          least = rate;
          leader = c.id();
        }
      }
    }
    return new ChoiceOutcome(Optional.ofNullable(leader), fit, unknown);
  }

  private Optional<Double> meanLife(WholeRating whole, Candidate c) {
    return expected(whole, c).stream().map(Expected::meanLife).min(Comparator.naturalOrder());
  }
}
