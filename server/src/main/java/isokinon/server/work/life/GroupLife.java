package isokinon.server.work.life;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.util.List;

/**
 * The life of a group of wear parts with the sets that run in it. Where its runs were counted, ages
 * are in counts (strokes, turns, passes) and hours are those of a typical pump of the group.
 *
 * @param inCounts whether ages are counts; else they are hours
 * @param perHour counts an hour of a typical pump, 1 where ages are hours
 */
record GroupLife(
    Group group,
    List<PumpInService> running,
    Prior prior,
    boolean inCounts,
    double perHour,
    LifeEstimate estimate) {

  double hours(double age) {
    return age / perHour;
  }

  /** A rate, pounds a unit of age, in pounds per 1000 h. */
  double perThousandHours(double rate) {
    return rate * perHour * 1000;
  }

  List<Run> ages() {
    return group.ages(inCounts);
  }

  Run run(WearRun r) {
    return inCounts ? r.counts().orElseThrow() : r.hours();
  }

  double age(PumpInService s) {
    return inCounts ? s.pump().countAge() : s.pump().age();
  }
}
