package isokinon.server.work.lives;

import isokinon.core.counter.Usage;
import isokinon.core.counter.WearCount;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.shared.RequestProblem;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The lives of all wearing sets at one moment. Evidence of a group is summed up when first asked.
 */
public final class LifeSnapshot {

  /**
   * What is expected of a wear part before any run.
   *
   * @param hours mean life
   * @param fromLibrary whether the library knows it; else it comes from the fixed interval
   * @param shape Weibull shape of the failure mode
   */
  public record Prior(double hours, boolean fromLibrary, double shape) {}

  /**
   * A pump as it stands now.
   *
   * @param usage how much it runs
   * @param duty what it runs on
   * @param prior what is expected of its set
   * @param calendar days from today until its set is renewed whatever it ran; empty where its sheet
   *     sets no such limit
   */
  public record PumpInService(
      PumpRow pump, Usage usage, String duty, Prior prior, Optional<Double> calendar) {

    /** One that no calendar limits. */
    public PumpInService(PumpRow pump, Usage usage, String duty, Prior prior) {
      this(pump, usage, duty, prior, Optional.empty());
    }

    /** The same with the shape of the failure mode that somebody chose. */
    PumpInService shaped(double shape) {
      Prior chosen = new Prior(prior.hours(), prior.fromLibrary(), shape);
      return new PumpInService(pump, usage, duty, chosen, calendar);
    }

    public LifeGroups.GroupKey of() {
      return new LifeGroups.GroupKey(
          pump.tag(), pump.sheet().orElse(""), pump.role(), pump.material(), duty);
    }

    public WearCount counted() {
      return pump.counted();
    }
  }

  /**
   * The life of a pump's wearing set.
   *
   * @param group the runs it comes from
   * @param known what they say
   * @param estimate of the life, in hours or counts
   * @param perHour units of the estimate in a running hour: 1, or counts
   * @param counted the unit of the estimate
   */
  public record Life(
      PumpInService standing,
      Group group,
      GroupEvidence known,
      LifeEstimate estimate,
      double perHour,
      WearCount counted) {

    /** Age of the set now, in the unit of the estimate. */
    public double age() {
      return counted == WearCount.HOURS ? standing.pump().age() : standing.pump().countAge();
    }

    /** An age in the unit of the estimate as hours of this pump. */
    double hours(double age) {
      return age / perHour;
    }

    /** Units of the estimate in a day of this pump. */
    public double perDay() {
      return perHour * standing.usage().perDay();
    }
  }

  /**
   * What the runs of a group say.
   *
   * @param finished how many came out
   * @param lastFailed whether each of the last few that came out had failed, the latest last
   * @param failedAt ages of those that failed, in the unit of the estimate, lowest first
   */
  public record GroupEvidence(
      LifeEstimate.Evidence evidence,
      int finished,
      List<Boolean> lastFailed,
      List<Double> failedAt) {}

  private final LifeGroups groups;
  private final Map<String, PumpInService> standing;
  private final KnownEvidence known;

  public LifeSnapshot(LifeGroups groups, Map<String, PumpInService> standing) {
    this(groups, standing, new KnownEvidence());
  }

  LifeSnapshot(LifeGroups groups, Map<String, PumpInService> standing, KnownEvidence known) {
    this.groups = groups;
    this.standing = standing;
    this.known = known;
  }

  public LifeGroups groups() {
    return groups;
  }

  /**
   * A pump.
   *
   * @throws RequestProblem where none has this tag
   */
  public PumpInService standing(String tag) {
    return find(tag).orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
  }

  /** A pump; empty where none has this tag. */
  public Optional<PumpInService> find(String tag) {
    return Optional.ofNullable(standing.get(tag));
  }

  public List<PumpInService> all() {
    return List.copyOf(standing.values());
  }

  /** The life of a pump's set from the narrowest group that has failures enough. */
  public Life life(PumpInService s) {
    return life(s, groups.narrowest(s.of()));
  }

  /** The life of a pump's set from one group: in what drives its wear where all was counted. */
  public Life life(PumpInService s, Group group) {
    boolean inCounts =
        s.counted() != WearCount.HOURS && s.pump().countsPerHour() > 0 && group.counted();
    double perHour = inCounts ? s.pump().countsPerHour() : 1;
    GroupEvidence of = known(group, inCounts, s.prior().shape());
    return new Life(
        s,
        group,
        of,
        LifeEstimate.of(s.prior().hours() * perHour, of.evidence()),
        perHour,
        inCounts ? s.counted() : WearCount.HOURS);
  }

  /** What the runs of a part's material in a duty say, in hours. */
  GroupEvidence like(String role, String material, String duty, double shape) {
    return known(
        groups.at(Level.DUTY, new LifeGroups.GroupKey("", "", role, material, duty)), false, shape);
  }

  private GroupEvidence known(Group group, boolean inCounts, double shape) {
    return known.of(group, inCounts, shape);
  }
}
