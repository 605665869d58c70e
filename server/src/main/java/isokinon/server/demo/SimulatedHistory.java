package isokinon.server.demo;

import isokinon.core.counter.WearCount;
import isokinon.server.db.pumps.RunRow;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Three years of one pump's wear parts, drawn from a stated truth with a seed made from the tag:
 * each set fails at a Weibull age, or is changed sound around its planned interval, whichever comes
 * first. The set in the pump now has the age that the demo wants; earlier ones are laid back from
 * it, each from the era that its end lies in.
 *
 * @param runs finished runs, oldest first
 * @param fittedOn day the present set went in
 * @param ageNow its age, running hours
 * @param hoursNow the pump's hour counter
 */
public record SimulatedHistory(
    List<RunRow> runs, LocalDate fittedOn, double ageNow, double hoursNow) {

  private static final int DAYS = 1095;
  private static final long SEED = 20260301;

  /** From some day on: a material with its true life, and the interval it is changed at. */
  public record Era(
      int fromDaysAgo,
      String material,
      double shape,
      double scale,
      double interval,
      String cause,
      String causeId) {}

  /** The wearing part of a pump: what it is, what stands around it, what counts its wear. */
  public record Wearing(
      String role,
      String fluid,
      String unit,
      String construction,
      WearCount counted,
      double countsPerHour) {}

  /**
   * The history of one pump.
   *
   * @param tag seeds it
   * @param truth eras, oldest first
   * @param ageNow running hours on the set in it now
   */
  public static SimulatedHistory of(
      String tag,
      Wearing part,
      List<Era> truth,
      double hoursPerDay,
      double ageNow,
      LocalDate today) {
    SplittableRandom random = new SplittableRandom(SEED * 31 + tag.hashCode());
    int nowFitted = (int) Math.round(ageNow / hoursPerDay);
    int oldest = Math.min(DAYS, truth.get(0).fromDaysAgo());
    List<RunRow> runs = new ArrayList<>();
    int ended = nowFitted;
    while (true) {
      Era era = at(truth, ended);
      double fails = era.scale() * Math.pow(-Math.log(1 - random.nextDouble()), 1 / era.shape());
      double changed = era.interval() * (0.86 + 0.2 * random.nextDouble());
      boolean failed = fails < changed;
      int lasted = (int) Math.max(3, Math.round(Math.min(fails, changed) / hoursPerDay));
      int fitted = ended + lasted;
      if (fitted > oldest) {
        break;
      }
      runs.add(
          0,
          new RunRow(
              tag,
              part.role(),
              era.material(),
              part.fluid(),
              today.minusDays(fitted),
              today.minusDays(ended),
              lasted * hoursPerDay,
              failed,
              failed ? era.cause() : "changed sound",
              part.unit(),
              "",
              "",
              part.construction(),
              0,
              part.counted(),
              0,
              part.countsPerHour() > 0 ? lasted * hoursPerDay * part.countsPerHour() : null,
              ""));
      ended = fitted;
    }
    return new SimulatedHistory(
        List.copyOf(runs), today.minusDays(nowFitted), ageNow, Math.round(DAYS * hoursPerDay));
  }

  private static Era at(List<Era> truth, int day) {
    Era now = truth.get(0);
    for (Era era : truth) {
      now = era.fromDaysAgo() >= day ? era : now;
    }
    return now;
  }
}
