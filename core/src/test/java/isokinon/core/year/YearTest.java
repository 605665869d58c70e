package isokinon.core.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Demand;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.JointLives;
import isokinon.core.life.frailty.PumpRuns;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.renewal.RenewalCost;
import isokinon.core.schedule.Slots;
import isokinon.core.schedule.WaitingCost;
import isokinon.core.year.YearPump.Cost;
import isokinon.core.year.YearPump.Job;
import isokinon.core.year.YearShop.Kit;
import isokinon.core.year.YearShop.Stretch;
import isokinon.core.year.YearShop.Window;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class YearTest {

  private static final double ENDLESS = Double.POSITIVE_INFINITY;

  private static final List<Stretch> ALWAYS = List.of(new Stretch(0, Slots.A_DAY, false));

  /** A pump that failed five times, another that never ran: 1 unit of age is a day. */
  private static final GroupPosterior GROUP =
      FrailtyModel.fit(
          FrailtyPrior.of(2.5, 90),
          List.of(
              new PumpRuns(
                  "A",
                  List.of(
                      new Run(70, true),
                      new Run(95, true),
                      new Run(80, true),
                      new Run(110, true),
                      new Run(60, true)))));

  private static final List<Belief> BELIEFS = List.of(new Belief(GROUP.joint(), 0));

  private static YearShop shop(List<List<Stretch>> days, Kit... kits) {
    return new YearShop(
        days,
        List.of(kits),
        List.of(1),
        List.of(Collections.nCopies(YearOutcome.DAYS, Window.NEVER)),
        20);
  }

  private static YearShop always(Kit... kits) {
    return shop(Collections.nCopies(YearOutcome.DAYS, ALWAYS), kits);
  }

  private static YearPump pump(String tag, double age, Cost cost, int kit) {
    return new YearPump(
        tag,
        0,
        GROUP.joint().place(tag),
        1,
        age,
        1,
        60,
        cost,
        new Job(1, 1, kit, YearPump.NONE, YearPump.NONE, YearPump.NONE));
  }

  private static YearPump pump(double age) {
    return pump("A", age, new Cost(100, 900, 10), YearPump.NONE);
  }

  private static YearOutcome play(YearPlan plan, int years) {
    return Year.play(plan, years, 7, done -> true).orElseThrow();
  }

  private static YearOutcome play(YearPump pump, Keeping kept, YearShop shop, int years) {
    return play(new YearPlan(List.of(pump), List.of(kept), shop, BELIEFS), years);
  }

  /** Renewal function of a Weibull life of scale 1: M(t) = F(t) + ∫ M(t - s) dF(s). */
  private static double renewals(double shape, double until) {
    int steps = 800;
    double[] f = new double[steps + 1];
    double[] m = new double[steps + 1];
    for (int i = 0; i <= steps; i++) {
      f[i] = -Math.expm1(-Math.pow(until * i / steps, shape));
    }
    for (int i = 1; i <= steps; i++) {
      m[i] = f[i] + f[1] * m[i - 1] / 2;
      for (int j = 2; j <= i; j++) {
        m[i] += (f[j] - f[j - 1]) * (m[i - j] + m[i - j + 1]) / 2;
      }
      m[i] /= 1 - f[1] / 2;
    }
    return m[steps];
  }

  @Test
  void onePumpThatRunsUntilItFailsFailsAsOftenAsTheRenewalFunctionSays() {
    JointLives.Draws draws = GROUP.joint().draws();
    int groups = 60;
    int pumps = 15;
    double expected = 0;
    for (int g = 0; g < groups; g++) {
      draws.group((g + 0.5) / groups);
      for (int z = 0; z < pumps; z++) {
        double scale = draws.scale(0, (z + 0.5) / pumps);
        expected += renewals(draws.shape(), YearOutcome.DAYS / scale) / groups / pumps;
      }
    }
    YearOutcome out = play(pump(0), Keeping.UNTIL_IT_FAILS, always(), 20_000);
    double failures = Arrays.stream(out.failures()).average().orElseThrow();
    // Four years in ten thousand are 0.01 failures; a set stands half an hour before it runs on.
    assertThat(failures).isCloseTo(expected, within(0.02 * expected)).isBetween(3.0, 6.0);
    assertThat(out.paid()[3]).isEqualTo(1000.0 * out.failures()[3], within(0.01));
    assertThat(Arrays.stream(out.downDays()).sum()).isLessThan(0.1 * 20_000);
  }

  @Test
  void aSetFailsWithinDaysAsOftenAsTheDiaryReckons() {
    double age = 50;
    GroupPosterior known =
        FrailtyModel.fit(
            FrailtyPrior.of(2.5, 90),
            List.of(new PumpRuns("A", List.of(new Run(80, true), new Run(age, false)))));
    for (double ahead : new double[] {7, 28, 90}) {
      // Nobody mends it, so that it fails once at most, by the end of the year.
      YearPump pump =
          new YearPump(
              "A", 0, 0, 1, age, ahead / YearOutcome.DAYS, 60, new Cost(1, 1, 1), pump(0).job());
      YearOutcome out =
          play(
              new YearPlan(
                  List.of(pump),
                  List.of(Keeping.UNTIL_IT_FAILS),
                  shop(Collections.nCopies(YearOutcome.DAYS, List.of())),
                  List.of(new Belief(known.joint(), 0))),
              20_000);
      assertThat(Arrays.stream(out.failures()).average().orElseThrow())
          .isCloseTo(
              new WaitingCost(known.life("A").before(age), age, pump.perDay(), age + ahead, 1, 1)
                  .risk(YearOutcome.DAYS),
              within(0.012));
    }
  }

  /**
   * Renewal reward theorem: what a year costs is the rate at that age, whatever the age it begins.
   */
  @Test
  void aYearAtTheBestAgeCostsWhatTheBestRateSays() {
    List<Run> many = new ArrayList<>();
    for (int i = 0; i < 400; i++) {
      many.add(new Run(100 * Math.pow(-Math.log((i + 0.5) / 400), 1 / 3.0), true));
    }
    GroupPosterior known =
        FrailtyModel.fit(FrailtyPrior.of(3, 90), List.of(new PumpRuns("A", many)));
    RenewalCost best = RenewalCost.best(known.life("A"), 100, 1000);
    for (double age : new double[] {0, 0.8 * best.age()}) {
      YearPump pump =
          new YearPump("A", 0, 0, 1, age, 1, best.age(), new Cost(100, 900, 0), pump(0).job());
      YearOutcome out =
          play(
              new YearPlan(
                  List.of(pump),
                  List.of(Keeping.atAge(best.age(), pump, 0)),
                  always(),
                  List.of(new Belief(known.joint(), 0))),
              20_000);
      double expected = best.rate() * YearOutcome.DAYS;
      assertThat(Arrays.stream(out.money()).average().orElseThrow())
          .isCloseTo(expected, within(0.04 * expected));
    }
  }

  @Test
  void asManyKitsAreUsedAsTheShelfReckonsWith() {
    YearPump pump = pump("B", 30, new Cost(100, 900, 0), 0);
    double asked =
        Demand.of(
                List.of(
                    new Demand.Running(
                        GROUP.life("B").scaleBelief(), 30, YearOutcome.DAYS, ENDLESS)))
            .mean();
    YearOutcome out = play(pump, Keeping.UNTIL_IT_FAILS, always(new Kit("K", 9, 1)), 4000);
    // The shelf reckons at one shape and in steps of a sixty-fourth.
    assertThat(out.used()[0] / 4000.0).isCloseTo(asked, within(0.06 * asked));
  }

  @Test
  void theSamePlanComesToTheSameAndIsGivenUpWhereNobodyWantsIt() {
    YearPlan plan =
        new YearPlan(List.of(pump(20)), List.of(Keeping.UNTIL_IT_FAILS), always(), BELIEFS);
    assertThat(play(plan, 200).money()).isEqualTo(play(plan, 200).money());
    assertThat(Year.play(plan, 200, 7, done -> done < 50)).isEmpty();
  }

  @Test
  void twoPlansWithTheSameLuckDifferByLessThanWithLuckOfTheirOwn() {
    YearPump pump = pump(20);
    double[] a = play(pump, Keeping.UNTIL_IT_FAILS, always(), 1000).money();
    double[] b = play(pump, Keeping.atAge(60, pump, 0), always(), 1000).money();
    int n = a.length;
    double together = spread(IntStream.range(0, n).mapToDouble(i -> a[i] - b[i]).toArray());
    double apart = spread(IntStream.range(0, n).mapToDouble(i -> a[i] - b[(i + 1) % n]).toArray());
    assertThat(together).isLessThan(0.8 * apart);
    assertThat(Arrays.stream(b).sum()).isLessThan(Arrays.stream(a).sum());
  }

  private static double spread(double[] of) {
    double mean = Arrays.stream(of).average().orElseThrow();
    return Math.sqrt(Arrays.stream(of).map(v -> (v - mean) * (v - mean)).average().orElseThrow());
  }

  @Test
  void looksFindWarningsAndAreCounted() {
    YearPump pump = pump("A", 0, new Cost(100, 900, 10), YearPump.NONE);
    Keeping weekly = new Keeping(Way.LOOK, 3, ENDLESS, 0);
    YearOutcome out = play(pump, weekly, always(), 400);
    // Looked at every three days nothing escapes that warns for an eighth of its life.
    assertThat(Arrays.stream(out.failures()).sum()).isLessThan(60);
    assertThat(Arrays.stream(out.renewals()).average().orElseThrow()).isBetween(3.0, 6.0);
    assertThat(out.paid()[0])
        .isEqualTo(100.0 * out.renewals()[0] + 10 * Math.floor(364 / 3.0), within(60.0));
  }

  @Test
  void aJobWaitsForItsKitAndForPeople() {
    YearPump one = pump("A", 0, new Cost(100, 900, 0), 0);
    YearPump other = pump("B", 0, new Cost(100, 900, 0), 0);
    Keeping fifty = new Keeping(Way.FIXED, 1000, 60, 0);
    List<Keeping> kept = List.of(fifty, fifty);
    YearOutcome none =
        play(new YearPlan(List.of(one, other), kept, always(new Kit("K", 0, 30)), BELIEFS), 200);
    YearOutcome two =
        play(new YearPlan(List.of(one, other), kept, always(new Kit("K", 2, 30)), BELIEFS), 200);
    assertThat(none.waitYears()[0]).isGreaterThan(150).isGreaterThan(two.waitYears()[0]);
    assertThat(Arrays.stream(none.downDays()).sum())
        .isGreaterThan(2 * Arrays.stream(two.downDays()).sum());
    // Nobody is ever there: nothing is renewed, and what fails stays down.
    YearOutcome nobody =
        play(
            new YearPlan(
                List.of(one, other),
                kept,
                shop(Collections.nCopies(YearOutcome.DAYS, List.of()), new Kit("K", 2, 30)),
                BELIEFS),
            200);
    assertThat(nobody.renewals()).containsOnly(0);
    assertThat(Arrays.stream(nobody.failures()).max().orElseThrow()).isLessThanOrEqualTo(2);
  }

  @Test
  void theShelfOrdersOneForEachThatIsTaken() {
    KitShelf shelf = new KitShelf(List.of(new Kit("K", 1, 28)));
    shelf.begin();
    assertThat(IntStream.of(0, 5, 6, 70, 71).map(d -> shelf.take(0, d)))
        .containsExactly(0, 28, 33, 70, 98);
  }

  @Test
  void aDayAtTheBenchBreaksNoRule() {
    List<Stretch> two = List.of(new Stretch(12, 28, false), new Stretch(16, 32, false));
    YearShop shop =
        new YearShop(
            List.of(two, two),
            List.of(),
            List.of(1),
            List.of(List.of(Window.NEVER, new Window(20, 24))),
            0);
    BenchDay bench = new BenchDay(shop, 4);
    Job press = new Job(120, 0, YearPump.NONE, 0, YearPump.NONE, YearPump.NONE);
    Job paired = new Job(60, 0, YearPump.NONE, YearPump.NONE, YearPump.NONE, 0);
    Job line = new Job(60, 0, YearPump.NONE, YearPump.NONE, 0, YearPump.NONE);
    bench.beginYear();
    bench.begin(0);
    // One press: the second job waits for the first, though somebody else is there at 16.
    assertThat(bench.set(0, press, 0, false)).isEqualTo(12);
    assertThat(bench.set(1, press, 0, false)).isEqualTo(16);
    // Of a pair one goes out when the other is back, and no sooner.
    assertThat(bench.set(2, paired, 0, false)).isEqualTo(16);
    // A line that runs all day lets nobody in, unless the pump is down anyway.
    assertThat(bench.set(3, line, 0, false)).isEqualTo(-1);
    assertThat(bench.set(3, line, 0, true)).isEqualTo(18);
    bench.begin(1);
    assertThat(bench.set(3, line, 0, false)).isEqualTo(20);
    assertThat(bench.set(3, line, 23, false)).isEqualTo(-1);
  }
}
