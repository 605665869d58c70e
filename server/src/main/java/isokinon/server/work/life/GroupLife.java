package isokinon.server.work.life;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.Marginal;
import isokinon.server.work.life.LifeView.EstimateView;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import java.util.List;
import java.util.function.Function;

/**
 * The life of a group of wear parts with the sets that run in it. Where its runs were counted, ages
 * are in counts (strokes, turns, passes) and hours are those of a typical pump of the group.
 *
 * @param inCounts whether ages are counts; else they are hours
 * @param perHour counts an hour of a typical pump, 1 where ages are hours
 * @param estimate of the pump that is asked for, or of a new one
 * @param lives of all its pumps, in mean lives of the library
 * @param libraryMean mean life of an ordinary pump of it by the library, in the unit of ages
 * @param ofPump the same in the unit of ages, of one pump; of a new one where the tag is empty
 */
record GroupLife(
    Group group,
    List<PumpInService> running,
    Prior prior,
    boolean inCounts,
    double perHour,
    LifeEstimate estimate,
    GroupPosterior lives,
    Function<String, LifeEstimate> ofPump,
    double libraryMean) {

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

  /** What history says, in numbers. */
  EstimateView inNumbers() {
    LifeEstimate e = estimate;
    Marginal scale = e.life().scaleBand();
    Marginal mean = e.life().meanBand();
    int running = (int) group.runs().stream().filter(WearRun::running).count();
    return new EstimateView(
        e.tells(),
        e.shape().median(),
        prior.shape(),
        e.shape().low(),
        e.shape().high(),
        e.between().median(),
        hours(scale.low()),
        hours(scale.median()),
        hours(scale.high()),
        hours(mean.median()),
        hours(mean.low()),
        hours(mean.high()),
        prior.hours(),
        prior.fromLibrary(),
        e.runs(),
        e.failures(),
        e.runs() - e.failures() - running,
        running);
  }
}
