package isokinon.server.work.life;

import isokinon.core.counter.WearCount;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.frailty.FitCheck.Agreement;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.value.Code;
import isokinon.server.work.shared.StateMark;
import java.util.List;
import java.util.Optional;

/**
 * What history says of one group of wear parts. Ages are hours; where the wear is driven by another
 * count they are hours of a pump that counts at the mean pace of the group. Money is pounds.
 *
 * @param groups every group there is, for choosing
 * @param of the group that is shown
 * @param counted what drives the wear, where the ages were counted in it
 * @param countsPerHour pace at which counts are shown as hours; 0 where ages are hours
 * @param headline the answer, as a sentence in pieces: those that are numbers stand out
 * @param basis what it comes from
 * @param earlier which runs count by the duty of their time; empty where all ran in the one of now
 * @param sure how sure the best age is
 * @param estimate the life
 * @param steps survival without a model
 * @param curve survival by the estimate
 * @param runs what came out, and when
 * @param running sets that run now, by age
 * @param fit whether the curve and what happened agree
 * @param causes what its sets fail of
 * @param apart the pump that most surely wears faster than the others, as a sentence, or empty
 * @param pumps each against the others; of very many those that wear fastest
 * @param fresh what a new pump of the group should expect
 * @param terms what it costs
 * @param costs cost for 1000 h over the age, or over the time between looks
 * @param policies the three ways at their best, and what is done today
 * @param changes what would change the answer
 */
public record LifeView(
    List<GroupLine> groups,
    GroupView of,
    WearCount counted,
    double countsPerHour,
    List<HeadPiece> headline,
    String basis,
    String earlier,
    String sure,
    Optional<EstimateView> estimate,
    List<SurvivalStep> steps,
    List<CurvePoint> curve,
    List<EndedRun> runs,
    List<RunningSet> running,
    FitView fit,
    CausesView causes,
    String apart,
    List<PumpInGroup> pumps,
    FreshPump fresh,
    TermsView terms,
    List<CostPoint> costs,
    List<PolicyView> policies,
    Optional<TodayView> today,
    List<ChangeView> changes) {

  /** A group that can be chosen. */
  public record GroupLine(
      String role, String material, String duty, String dutyName, int runs, int failures) {}

  /**
   * The group shown.
   *
   * @param level pump, construction, duty or any-duty
   * @param pump whose, where one was asked for
   * @param levels the widths there are
   * @param together why it is as wide as it is
   * @param years runs of the last years only; 0 for all
   */
  public record GroupView(
      String role,
      String material,
      String duty,
      String dutyName,
      Level level,
      String pump,
      List<LevelLine> levels,
      String together,
      int years) {}

  /** A width with what it holds. */
  public record LevelLine(Level level, String title, int runs, int failures) {}

  /** A piece of the headline. */
  public record HeadPiece(String text, boolean number) {}

  /**
   * The estimate.
   *
   * @param tells whether the runs tell enough to be gone by
   * @param shape Weibull shape believed
   * @param mode shape of the failure mode before any run
   * @param shapeLow 5 % of the shape
   * @param shapeHigh 95 %
   * @param between standard deviation of ln life between the pumps of the group
   * @param scaleLow 5 % of the scale, h
   * @param scale median of it, h
   * @param scaleHigh 95 %, h
   * @param mean middle of what is believed of the mean life, h
   * @param meanLow 5 % of it, h
   * @param meanHigh 95 %, h
   * @param priorMean the library's mean life, h
   * @param fromLibrary whether the library knows it in this duty
   */
  public record EstimateView(
      boolean tells,
      double shape,
      double mode,
      double shapeLow,
      double shapeHigh,
      double between,
      double scaleLow,
      double scale,
      double scaleHigh,
      double mean,
      double meanLow,
      double meanHigh,
      double priorMean,
      boolean fromLibrary,
      int runs,
      int failures,
      int sound,
      int running) {}

  /** A step of the survival without a model, 90 % band. */
  public record SurvivalStep(
      double age, double survival, Optional<Double> low, Optional<Double> high) {}

  /**
   * A point of the survival that is believed, 90 % band.
   *
   * @param age h
   * @param value share that is whole
   * @param alone the same by the likelihood of the runs alone, all pumps as one, without the
   *     library; absent where under two failed at different ages
   */
  public record CurvePoint(
      double age, double value, double low, double high, Optional<Double> alone) {}

  /**
   * A pump of the group against the others.
   *
   * @param wear how many times as fast it wears as an ordinary pump of the group, middle
   * @param wearLow 5 % of it
   * @param wearHigh 95 % of it
   * @param age of the set that runs now, h; empty where none does
   * @param best age at which to renew it, h; empty where no age pays
   * @param risk30 chance that the set that runs now fails within 30 days; empty where none does
   * @param state watch where it is past its best age
   * @param say how far it is from that
   */
  public record PumpInGroup(
      String pump,
      int runs,
      int failures,
      double wear,
      double wearLow,
      double wearHigh,
      Optional<Double> age,
      Optional<Double> best,
      Optional<Double> risk30,
      StateMark state,
      String say) {}

  /**
   * What a new pump of the group should expect.
   *
   * @param half age that half of its sets outlive, h
   * @param low age that nineteen in twenty outlive, h
   * @param high age that one in twenty outlives, h
   * @param best age at which to renew it, h; empty where no age pays
   */
  public record FreshPump(double half, double low, double high, Optional<Double> best) {}

  /**
   * Failures in a stretch of age.
   *
   * @param from h
   * @param to h; empty at the last
   * @param failed sets that failed in it
   * @param low fewest that the curve allows nine times in ten
   * @param high most
   * @param agreement whether the failures are more or fewer than that, surely
   */
  public record FitStretch(
      double from, Optional<Double> to, int failed, int low, int high, Agreement agreement) {}

  /**
   * Whether the curve and what happened agree.
   *
   * @param stretches of age, lowest first
   * @param say where they part company; empty where they agree
   * @param explains what would explain it
   */
  public record FitView(List<FitStretch> stretches, String say, String explains) {}

  /**
   * A cause of failure in a group; for it a set that failed of another had not failed yet.
   *
   * @param failures of it
   * @param shape Weibull shape of it alone, no unit, middle
   * @param byAge whether it is expected to come with age
   * @param failuresPerYear of all positions, as they are renewed today
   * @param perYear what these cost, pounds
   * @param prevented what prevents it, where renewal does not; or empty
   * @param mayCost what that may cost at most to pay within a year, pounds
   */
  public record CauseLine(
      FailureCause cause,
      int failures,
      double shape,
      double shapeLow,
      double shapeHigh,
      boolean byAge,
      double failuresPerYear,
      double perYear,
      String prevented,
      Optional<Double> mayCost) {}

  /**
   * What sets fail of.
   *
   * @param causes the costliest first; none where nobody said
   * @param say the costliest that age does not prevent, as a sentence; or empty
   */
  public record CausesView(List<CauseLine> causes, String say) {}

  /** A run that came out. */
  public record EndedRun(String pump, double from, double age, boolean failed, String on) {}

  /**
   * A set that runs now.
   *
   * @param state sound, watch inside the band that is hardly dearer, renew past it
   */
  public record RunningSet(String pump, double age, StateMark state, String say) {}

  /**
   * What it costs.
   *
   * @param planned renewing it sound
   * @param failed a failure, all in
   * @param look a look
   * @param warning share of the life that is left when the first sign shows
   * @param harms whether a failure harms people or the environment
   * @param limit longest time by the sheet, h
   * @param hoursPerYear running hours a year of the sets that run now
   * @param say where the costs come from
   */
  public record TermsView(
      Optional<Double> planned,
      Optional<Double> failed,
      Optional<Double> look,
      double warning,
      boolean harms,
      Optional<Double> limit,
      double hoursPerYear,
      int positions,
      String say) {}

  /**
   * Cost for 1000 h.
   *
   * @param fixed renewing at this age
   * @param look looking so often
   */
  public record CostPoint(double age, double fixed, Optional<Double> look) {}

  /** What keeps a way from being chosen. */
  public enum PolicyBar implements Code {
    NONE,
    /** A failure harms people or the environment. */
    HARMS,
    /** The sheet or the maker sets a longest time. */
    LIMIT,
    /** It never pays. */
    DEAR
  }

  /**
   * A way to keep the part.
   *
   * @param every age or time between looks, h; empty where it runs until it fails
   * @param to age up to which it is hardly dearer, h
   * @param per1000h cost for 1000 h
   * @param perYear cost a year of all positions
   * @param failuresPerYear failures a year of all positions
   * @param bar what keeps it from being chosen
   */
  public record PolicyView(
      Way way,
      String title,
      String say,
      Optional<Double> every,
      Optional<Double> to,
      double per1000h,
      double perYear,
      double failuresPerYear,
      double renewalsPerYear,
      PolicyBar bar,
      boolean chosen) {}

  /** What is done today: a point on the curve, and what it costs a year over the best. */
  public record TodayView(double age, double per1000h, double overPerYear, String say) {}

  /** What would change the answer. */
  public record ChangeView(String when, String then) {}
}
