package isokinon.server.work.year;

import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearPlan;
import isokinon.core.year.YearPump;
import isokinon.core.year.YearShop.Kit;
import isokinon.core.year.YearShop.Stretch;
import isokinon.server.work.year.YearView.ChangeOption;
import isokinon.server.work.year.YearView.WaitedKit;
import isokinon.server.work.year.YearView.YearDriver;
import isokinon.server.work.year.YearView.YearOthers;
import isokinon.server.work.year.YearView.YearSide;
import isokinon.server.work.year.YearView.YearWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** A year as it is shown. */
final class YearViews {

  private static final int DRIVERS = 6;
  private static final int KITS = 3;

  /** A kit that keeps jobs waiting in fewer of the years is not told of. */
  private static final double SELDOM = 0.01;

  private static final double SLOTS_AN_HOUR = 2;

  /** What was played: the two policies and what they came to. */
  record Played(
      YearGround ground,
      YearPolicy left,
      YearPlan leftPlan,
      YearOutcome leftOut,
      YearPolicy right,
      YearPlan rightPlan,
      YearOutcome rightOut) {}

  private YearViews() {}

  static YearView of(Played p, List<ChangeOption> changes) {
    double[] a = p.leftOut().money();
    double[] b = p.rightOut().money();
    double[] saves = YearBands.less(a, b);
    List<YearDriver> drivers = drivers(p);
    double all = YearBands.mean(saves);
    List<YearDriver> shown = drivers.stream().limit(DRIVERS).toList();
    return new YearView(
        p.ground().from().toString(),
        a.length,
        p.ground().subjects().size(),
        YearText.leaves(p.ground()),
        side(p.left(), p.leftOut()),
        side(p.right(), p.rightOut()),
        (int) Arrays.stream(saves).filter(s -> s > 0).count(),
        (int)
            IntStream.range(0, a.length)
                .filter(y -> p.rightOut().failures()[y] < p.leftOut().failures()[y])
                .count(),
        YearBands.of(saves),
        YearBands.of(YearBands.lessWithOwnLuck(a, b)),
        weeks(p),
        kits(p),
        shown,
        new YearOthers(
            p.ground().subjects().size() - shown.size(),
            all - shown.stream().mapToDouble(YearDriver::saves).sum()),
        YearText.driving(drivers, all),
        changes);
  }

  private static YearSide side(YearPolicy policy, YearOutcome out) {
    return new YearSide(
        policy,
        YearText.title(policy),
        YearBands.of(out.money()),
        YearBands.of(out.paid()),
        YearBands.of(out.failures()),
        Arrays.stream(out.renewals()).average().orElse(0),
        YearBands.mean(out.downDays()),
        YearBands.whole(out.money()),
        Arrays.stream(out.failures()).boxed().toList());
  }

  private static List<YearWeek> weeks(Played p) {
    List<List<Stretch>> days = p.leftPlan().shop().days();
    List<YearWeek> weeks = new ArrayList<>();
    for (int w = 0; w < YearOutcome.WEEKS; w++) {
      double hours =
          days.subList(7 * w, 7 * w + 7).stream()
              .flatMap(List::stream)
              .filter(s -> !s.overtime())
              .mapToDouble(s -> (s.to() - s.from()) / SLOTS_AN_HOUR)
              .sum();
      float[] left = p.leftOut().hours()[w];
      float[] right = p.rightOut().hours()[w];
      weeks.add(
          new YearWeek(
              p.ground().from().plusDays(7L * w).toString(),
              hours,
              YearBands.of(left),
              YearBands.of(right),
              YearBands.over(left, hours),
              YearBands.over(right, hours)));
    }
    return weeks;
  }

  private static List<WaitedKit> kits(Played p) {
    List<Kit> kits = p.rightPlan().shop().kits();
    double years = p.leftOut().years();
    return IntStream.range(0, kits.size())
        .filter(
            k ->
                Math.max(p.leftOut().waitYears()[k], p.rightOut().waitYears()[k]) >= SELDOM * years)
        .mapToObj(
            k ->
                new WaitedKit(
                    k,
                    kits.get(k).name(),
                    kits.get(k).there(),
                    kits.get(k).leadDays(),
                    p.leftOut().waitYears()[k] / years,
                    p.rightOut().waitYears()[k] / years,
                    shares(p.leftOut().waits()[k], years),
                    shares(p.rightOut().waits()[k], years)))
        .sorted(
            Comparator.comparingDouble((WaitedKit k) -> -Math.max(k.left(), k.right()))
                .thenComparing(WaitedKit::number))
        .limit(KITS)
        .toList();
  }

  private static List<Double> shares(int[] counts, double years) {
    return Arrays.stream(counts).mapToObj(c -> c / years).toList();
  }

  private static List<YearDriver> drivers(Played p) {
    List<YearPump> pumps = p.leftPlan().pumps();
    return IntStream.range(0, pumps.size())
        .mapToObj(
            i -> {
              double perHour = p.ground().subjects().get(i).life().perHour();
              double[] saves =
                  YearBands.less(
                      YearBands.doubles(p.leftOut().ofPump()[i]),
                      YearBands.doubles(p.rightOut().ofPump()[i]));
              double mean = YearBands.mean(saves);
              Arrays.sort(saves);
              return new YearDriver(
                  pumps.get(i).tag(),
                  YearText.kept(p.leftPlan().kept().get(i), perHour),
                  YearText.kept(p.rightPlan().kept().get(i), perHour),
                  mean,
                  YearBands.quantile(saves, 0.25),
                  YearBands.quantile(saves, 0.75));
            })
        .sorted(
            Comparator.comparingDouble((YearDriver d) -> -Math.abs(d.saves()))
                .thenComparing(YearDriver::pump))
        .toList();
  }
}
