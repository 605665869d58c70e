package isokinon.server.work.lives;

import isokinon.core.counter.Usage;
import isokinon.core.counter.WearCount;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeOfTwoRisks;
import isokinon.core.life.Survival;
import isokinon.core.life.frailty.FitCheck;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.history.DutyHistory;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.shared.RequestProblem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * The lives of all wearing sets at one moment. What the runs of a group say is worked out when
 * first asked.
 */
public final class LifeSnapshot {

  /**
   * What is expected of a wear part before any run.
   *
   * @param hours mean life
   * @param fromLibrary whether the library knows it in this duty
   * @param shape Weibull shape of the failure mode
   * @param spread standard deviation of ln mean life: how well it is known
   */
  public record Prior(double hours, boolean fromLibrary, double shape, double spread) {}

  /**
   * A pump as it stands now.
   *
   * @param usage how much it runs
   * @param duty what it runs on
   * @param prior what is expected of its set
   * @param calendar days from today until its set is renewed whatever it ran; empty where its sheet
   *     sets no such limit
   * @param earlier the duties it had before; empty where nobody wrote down another
   */
  public record PumpInService(
      PumpRow pump,
      Usage usage,
      String duty,
      Prior prior,
      Optional<Double> calendar,
      Optional<DutyHistory> earlier) {

    /** One that no calendar limits, and that was always in one duty. */
    public PumpInService(PumpRow pump, Usage usage, String duty, Prior prior) {
      this(pump, usage, duty, prior, Optional.empty(), Optional.empty());
    }

    /** How fast its set has worn, by how fast it wears in the duty of now. */
    double pace() {
      return earlier.map(e -> e.pace(pump.fittedOn(), Optional.empty())).orElse(1.0);
    }

    /** The same with the shape of the failure mode that somebody chose. */
    PumpInService shaped(double shape) {
      Prior chosen = new Prior(prior.hours(), prior.fromLibrary(), shape, prior.spread());
      return new PumpInService(pump, usage, duty, chosen, calendar, earlier);
    }

    public GroupKey of() {
      return new GroupKey(pump.tag(), pump.sheet().orElse(""), pump.role(), pump.material(), duty);
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
   * @param libraryMean mean life by the library in this pump, which the runs are told in
   * @param perHour units of the estimate in a running hour: 1, or counts
   * @param counted the unit of the estimate
   */
  public record Life(
      PumpInService standing,
      Group group,
      GroupEvidence known,
      LifeEstimate estimate,
      double libraryMean,
      double perHour,
      WearCount counted) {

    /**
     * What was believed of the set that runs now before it had reached its age: where that age is
     * among the runs that the life comes from, it must not count twice.
     */
    public Survival ofRunning() {
      return known.running().contains(standing.pump().tag())
          ? estimate.life().before(age())
          : estimate.life();
    }

    /**
     * Age of the set now, in the unit of the estimate: what it ran in an earlier duty counts by how
     * fast it wore there.
     */
    public double age() {
      return standing.pace()
          * (counted == WearCount.HOURS ? standing.pump().age() : standing.pump().countAge());
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
   * @param lives in mean lives of the library
   * @param finished how many came out
   * @param lastFailed whether each of the last few that came out had failed, the latest last
   * @param running the pumps whose set runs now and is among them
   * @param failedAt ages of those that failed, in the unit of the estimate, lowest first
   */
  public record GroupEvidence(
      GroupPosterior lives,
      int finished,
      List<Boolean> lastFailed,
      Set<String> running,
      List<Double> failedAt) {}

  /** What the library expects of parts that no pump runs with now. */
  interface LibraryLives {

    /** Mean life of a part in a duty, h. */
    double hours(String role, String material, String duty);
  }

  private static final double SOME_HOURS = 4000;

  /** A group that is cut out for one question is kept no longer than room is needed. */
  private static final int MOST_RISKS = 1_000;

  private final LifeGroups groups;
  private final Map<String, PumpInService> standing;
  private final LibraryLives library;
  private final KnownEvidence known;
  private final Map<GroupKey, List<PumpInService>> members;
  private final Map<Expecting, LibraryExpectation> expected = new ConcurrentHashMap<>();

  private final Map<String, Life> lives = new ConcurrentHashMap<>();
  private final Map<RisksOf, Risks> risks = new ConcurrentHashMap<>();

  private record Expecting(GroupKey of, boolean inCounts, double shape) {}

  public LifeSnapshot(LifeGroups groups, Map<String, PumpInService> standing) {
    this(groups, standing, (role, material, duty) -> SOME_HOURS, new KnownEvidence());
  }

  LifeSnapshot(
      LifeGroups groups,
      Map<String, PumpInService> standing,
      LibraryLives library,
      KnownEvidence known) {
    this.library = library;
    this.groups = groups;
    this.standing = standing;
    this.known = known;
    this.members =
        standing.values().stream().collect(Collectors.groupingBy(s -> s.of().at(Level.DUTY)));
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

  /** The life of a pump's set by its own runs and those of all such sets in the same duty. */
  public Life life(PumpInService s) {
    Life made = lives.get(s.pump().tag());
    if (made == null || made.standing() != s) {
      made = life(s, groups.at(Level.DUTY, s.of()));
      lives.put(s.pump().tag(), made);
    }
    return made;
  }

  /** The life of a pump's set from one group: in what drives its wear where all was counted. */
  public Life life(PumpInService s, Group group) {
    boolean inCounts =
        s.counted() != WearCount.HOURS && s.pump().countsPerHour() > 0 && group.counted();
    LibraryExpectation library = expected(group, inCounts, s.prior().shape());
    GroupEvidence of = known.of(group, inCounts, library);
    return new Life(
        s,
        group,
        of,
        estimate(s.pump().tag(), of.lives(), group, inCounts, s.prior().shape()),
        library.of(s.pump().tag()),
        inCounts ? s.pump().countsPerHour() : 1,
        inCounts ? s.counted() : WearCount.HOURS);
  }

  /**
   * What the runs of a group say, in mean lives of the library.
   *
   * @param shape of the failure mode
   */
  public GroupEvidence known(Group group, boolean inCounts, double shape) {
    return known.of(group, inCounts, expected(group, inCounts, shape));
  }

  /** What is believed of some runs of a group, in mean lives of the library; not kept for later. */
  public GroupPosterior fitted(Group group, boolean inCounts, double shape) {
    return KnownEvidence.fitted(group, inCounts, expected(group, inCounts, shape));
  }

  /**
   * What is believed of the life that one cause alone would end, in mean lives of the library.
   *
   * @param shape of the failure mode, for a cause that comes with age
   */
  public GroupPosterior byCause(Group group, boolean inCounts, double shape, FailureCause cause) {
    LibraryExpectation library = expected(group, inCounts, shape);
    return FrailtyModel.fit(library.prior(cause), library.relative(group.only(cause), inCounts));
  }

  /**
   * The life of the next set in a pump of a group.
   *
   * @param pump one that is not in the group is a new one
   * @param lives what is believed of the group
   */
  public LifeEstimate estimate(
      String pump, GroupPosterior lives, Group group, boolean inCounts, double shape) {
    double mean = expectedMean(pump, group, inCounts, shape);
    LifeEstimate plain = LifeEstimate.of(lives, pump, mean);
    return group.otherThanAge()
        ? plain.chosenBy(() -> risks(group, inCounts, shape).life(pump, mean))
        : plain;
  }

  /** What is believed of what age brings to the sets of a group, and of what it does not. */
  private record Risks(GroupPosterior byAge, GroupPosterior other) {

    Survival life(String pump, double mean) {
      return new LifeOfTwoRisks(byAge.life(pump).longer(mean), other.life(pump).longer(mean));
    }
  }

  private record RisksOf(Group group, boolean inCounts, double shape) {

    @Override
    public boolean equals(Object o) {
      return o instanceof RisksOf r
          && r.group == group
          && r.inCounts == inCounts
          && Double.compare(r.shape, shape) == 0;
    }

    @Override
    public int hashCode() {
      return System.identityHashCode(group);
    }
  }

  private Risks risks(Group group, boolean inCounts, double shape) {
    if (risks.size() > MOST_RISKS) {
      risks.clear();
    }
    return risks.computeIfAbsent(
        new RisksOf(group, inCounts, shape),
        k -> {
          LibraryExpectation library = expected(group, inCounts, shape);
          return new Risks(
              FrailtyModel.fit(library.prior(), library.relative(group.only(true), inCounts)),
              FrailtyModel.fit(
                  library.prior(FailureCause.RAN_DRY),
                  library.relative(group.only(false), inCounts)));
        });
  }

  /** Whether what is believed of a group agrees with its runs, in mean lives of the library. */
  public List<FitCheck.Stretch> agreement(
      GroupPosterior lives, Group group, boolean inCounts, double shape) {
    return FitCheck.of(lives, expected(group, inCounts, shape).relative(group, inCounts));
  }

  /** How fast those runs of a group wore that were in an earlier duty of their pump. */
  public List<Double> inEarlierDuties(Group group, boolean inCounts, double shape) {
    LibraryExpectation library = expected(group, inCounts, shape);
    return group.runs().stream().map(library::pace).filter(p -> Math.abs(p - 1) > 0.005).toList();
  }

  /**
   * Mean life by the library, in hours or counts.
   *
   * @param pump one that does not run with such a set is an ordinary one
   */
  public double expectedMean(String pump, Group group, boolean inCounts, double shape) {
    return expected(group, inCounts, shape).of(pump);
  }

  private LibraryExpectation expected(Group group, boolean inCounts, double shape) {
    // A narrower group is told in what is expected of its duty: each pump has its own mean there.
    GroupKey of = group.of().at(group.level() == Level.ANY_DUTY ? Level.ANY_DUTY : Level.DUTY);
    return expected.computeIfAbsent(
        new Expecting(of, inCounts, shape),
        e -> {
          List<PumpInService> running = members(of);
          double hours = running.isEmpty() ? library.hours(of.role(), of.material(), of.duty()) : 0;
          return LibraryExpectation.of(running, inCounts, shape, hours);
        });
  }

  private List<PumpInService> members(GroupKey of) {
    return of.duty().isEmpty()
        ? standing.values().stream().filter(s -> s.of().at(Level.ANY_DUTY).equals(of)).toList()
        : members.getOrDefault(of, List.of());
  }

  /** What the runs of a part's material in a duty say, in hours. */
  GroupEvidence like(String role, String material, String duty, double shape) {
    return known(groups.at(Level.DUTY, new GroupKey("", "", role, material, duty)), false, shape);
  }
}
