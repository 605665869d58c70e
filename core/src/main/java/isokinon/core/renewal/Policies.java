package isokinon.core.renewal;

import isokinon.core.life.Survival;
import isokinon.core.value.Code;
import isokinon.core.value.Range;
import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoublePredicate;
import java.util.stream.Stream;

/**
 * The three ways to keep a wear part, each at its best, on one axis: cost for each unit of age.
 *
 * @param fixed renew at an age or at failure; empty where no age pays and none is asked for
 * @param untilItFails run it until it fails
 * @param look look every so often and renew on sight of warning; empty where looking never pays
 * @param now what is done today; empty where nobody knows
 * @param chosen the cheapest that may be chosen
 * @param hardlyMatters whether the best age saves under 3 % against running until it fails
 */
public record Policies(
    Optional<Kept> fixed,
    Kept untilItFails,
    Optional<Kept> look,
    Optional<Kept> now,
    Optional<Kept> chosen,
    boolean hardlyMatters) {

  /** A saving under this share hardly matters. */
  public static final double MATTERS = 0.03;

  /** Share of a life that is left at the first sign of warning, where nobody says (shop rule). */
  public static final double WARNING = 0.12;

  private static final int HALVINGS = 50;

  /** Savings under this share are rounding. */
  private static final double ROUNDING = 1e-9;

  /** A failure dearer than so many renewals is not looked for. */
  private static final double DEAREST = 1000;

  /** A way to keep a part. */
  public enum Way implements Code {
    FIXED,
    UNTIL_IT_FAILS,
    LOOK
  }

  /** What keeps a way from being chosen. */
  public enum Bar {
    NONE,
    /** A failure harms people or the environment. */
    HARMS,
    /** The sheet or the maker sets a longest time. */
    LIMIT
  }

  /**
   * A way at one setting.
   *
   * @param every age to renew at, or time between looks; infinite where it runs until it fails
   * @param rate cost for each unit of age
   * @param failures failures for each unit of age
   * @param renewals renewals sound for each unit of age
   * @param bar what keeps it from being chosen
   * @param cut whether the limit cut it down from a longer best
   */
  public record Kept(
      Way way, double every, double rate, double failures, double renewals, Bar bar, boolean cut) {}

  /**
   * What a part costs, and who suffers.
   *
   * @param planned cost of renewing it sound, over 0
   * @param failed cost of a failure, all in
   * @param look cost of a look; empty where it can't be looked at
   * @param harms whether a failure harms people or the environment
   * @param limit longest age by the sheet or the maker; empty where none is set
   */
  public record Terms(
      double planned, double failed, OptionalDouble look, boolean harms, OptionalDouble limit) {

    /**
     * Terms.
     *
     * @throws IllegalArgumentException naming the value that is out of range
     */
    public Terms {
      Range.check("planned", planned, 1e-9, 1e12);
      Range.check("failed", failed, 1e-9, 1e12);
      look.ifPresent(v -> Range.check("look", v, 1e-9, 1e12));
      limit.ifPresent(v -> Range.check("limit", v, 1e-9, 1e15));
    }

    private Terms withLook(double cost) {
      return new Terms(planned, failed, OptionalDouble.of(cost), harms, limit);
    }
  }

  /**
   * All three at their best.
   *
   * @param life of the part
   * @param warningShare share of the mean life that is left at the first sign of warning, over 0
   *     and under 1
   * @param today age it is renewed at today; infinite where it runs until it fails; empty where
   *     nobody knows
   */
  public static Policies of(Survival life, double warningShare, Terms terms, OptionalDouble today) {
    Range.check("warningShare", warningShare, 1e-6, 1 - 1e-6);
    Kept untilItFails =
        new Kept(
            Way.UNTIL_IT_FAILS,
            Double.POSITIVE_INFINITY,
            untilItFails(life, terms.failed()),
            life.failureRate(Double.POSITIVE_INFINITY),
            0,
            terms.harms() ? Bar.HARMS : terms.limit().isPresent() ? Bar.LIMIT : Bar.NONE,
            false);
    Optional<Kept> fixed = fixed(life, terms);
    Optional<Kept> look = look(life, warningShare, terms);
    boolean hardly =
        fixed
            .filter(f -> f.rate() > (1 - MATTERS) * untilItFails.rate())
            .filter(f -> untilItFails.bar() == Bar.NONE)
            .isPresent();
    return new Policies(
        fixed,
        untilItFails,
        look,
        today.isPresent() ? Optional.of(at(today.getAsDouble(), life, terms)) : Optional.empty(),
        Stream.of(fixed, Optional.of(untilItFails), look)
            .flatMap(Optional::stream)
            .filter(k -> k.bar() == Bar.NONE)
            .min(Comparator.comparingDouble(Kept::rate)),
        hardly);
  }

  private static Optional<Kept> fixed(Survival life, Terms terms) {
    RenewalCost best = RenewalCost.best(life, terms.planned(), terms.failed());
    boolean pays =
        terms.failed() > terms.planned()
            && best.rate() < (1 - ROUNDING) * untilItFails(life, terms.failed());
    double age =
        Math.min(
            pays ? best.age() : Double.POSITIVE_INFINITY,
            terms.limit().orElse(Double.POSITIVE_INFINITY));
    if (Double.isInfinite(age)) {
      return Optional.empty();
    }
    Kept kept = at(age, life, terms);
    return Optional.of(
        new Kept(
            Way.FIXED,
            age,
            kept.rate(),
            kept.failures(),
            kept.renewals(),
            Bar.NONE,
            !pays || age < best.age()));
  }

  /** Renewing at {@code age}, or at failure. */
  static Kept at(double age, Survival life, Terms terms) {
    return new Kept(
        Double.isInfinite(age) ? Way.UNTIL_IT_FAILS : Way.FIXED,
        age,
        RenewalCost.at(age, life, terms.planned(), terms.failed()),
        life.failureRate(age),
        life.renewalRate(age),
        Bar.NONE,
        false);
  }

  private static double untilItFails(Survival life, double failed) {
    return failed * life.failureRate(Double.POSITIVE_INFINITY);
  }

  private static Optional<Kept> look(Survival life, double warningShare, Terms terms) {
    if (terms.look().isEmpty()) {
      return Optional.empty();
    }
    InspectRenew best =
        InspectRenew.best(
            warning(life, warningShare),
            new InspectRenew.Costs(terms.look().getAsDouble(), terms.planned(), terms.failed()));
    boolean tooLong = terms.limit().isPresent() && best.every() > terms.limit().getAsDouble();
    return Double.isInfinite(best.every())
        ? Optional.empty()
        : Optional.of(
            new Kept(
                Way.LOOK,
                best.every(),
                best.rate(),
                best.failures(),
                best.renewals(),
                tooLong ? Bar.LIMIT : Bar.NONE,
                false));
  }

  /** How parts of a mean life warn, the share of it left at the first sign given. */
  public static InspectRenew.Warning warning(Survival life, double share) {
    double mean = 1 / life.failureRate(Double.POSITIVE_INFINITY);
    return new InspectRenew.Warning(mean * (1 - share), mean * share);
  }

  /**
   * The ages around the best at which renewing costs hardly more: under 3 % over it.
   *
   * @param fixed the best age
   * @return the longest of them, at most the limit
   */
  public static double hardlyDearerTo(Kept fixed, Survival life, Terms terms) {
    double most = (1 + MATTERS) * fixed.rate();
    double limit = terms.limit().orElse(life.quantile(0.999));
    return lastWhere(
        age -> RenewalCost.at(age, life, terms.planned(), terms.failed()) <= most,
        fixed.every(),
        Math.max(limit, fixed.every()));
  }

  /**
   * The failure cost under which a fixed age does not pay: it saves under 3 % against running until
   * it fails. At most a thousand renewals.
   */
  public static double failureCostToCare(Survival life, Terms terms) {
    return lastWhere(
        cost -> {
          RenewalCost best = RenewalCost.best(life, terms.planned(), cost);
          return best.rate() > (1 - MATTERS) * untilItFails(life, cost);
        },
        terms.planned(),
        DEAREST * terms.planned());
  }

  /** The cost of a look under which looking is the cheapest of the three; 0 where it never is. */
  public static double lookCostToLook(Survival life, double warningShare, Terms terms) {
    double others =
        Math.min(
            fixed(life, terms).map(Kept::rate).orElse(Double.POSITIVE_INFINITY),
            untilItFails(life, terms.failed()));
    return lastWhere(
        cost ->
            look(life, warningShare, terms.withLook(cost)).map(Kept::rate).orElse(others) < others,
        1e-6 * terms.planned(),
        terms.failed());
  }

  /** The largest value between two for which {@code holds}, which holds below it: bisection. */
  private static double lastWhere(DoublePredicate holds, double low, double high) {
    if (holds.test(high)) {
      return high;
    }
    if (!holds.test(low)) {
      return 0;
    }
    double yes = low;
    double no = high;
    for (int i = 0; i < HALVINGS && no - yes > 1e-6 * no; i++) {
      double middle = (yes + no) / 2;
      if (holds.test(middle)) {
        yes = middle;
      } else {
        no = middle;
      }
    }
    return yes;
  }
}
