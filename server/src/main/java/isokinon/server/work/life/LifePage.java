package isokinon.server.work.life;

import isokinon.core.counter.WearCount;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.frailty.FitCheck;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.material.Knowledge;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.server.work.life.LifeView.GroupLine;
import isokinon.server.work.life.LifeView.GroupView;
import isokinon.server.work.life.LifeView.LevelLine;
import isokinon.server.work.life.LifeView.TermsView;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LibraryWord;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What history says of a group of wear parts, and how to keep them. */
@Service
public class LifePage {

  /**
   * What is asked.
   *
   * @param pump a pump; its set is the part, and its own life is told
   * @param role part, material and duty group, where no pump is asked for
   * @param level width of the group; the tool chooses where it is left out
   * @param years runs of the last years only
   * @param mode Weibull shape of the failure mode
   * @param planned cost of a renewal, pounds
   * @param failed cost of a failure, all in, pounds
   * @param look cost of a look, pounds
   * @param warning share of the life left at the first sign
   */
  public record LifeQuestion(
      String pump,
      String role,
      String material,
      String duty,
      Level level,
      Integer years,
      Double mode,
      Double planned,
      Double failed,
      Double look,
      Double warning) {}

  private final LifeService lives;
  private final LibraryWord word;
  private final LifeTerms costs;
  private final Forecasts forecasts;
  private final WhatIf whatIf;
  private final Clock clock;

  LifePage(
      LifeService lives,
      LibraryWord word,
      LifeTerms costs,
      Forecasts forecasts,
      WhatIf whatIf,
      Clock clock) {
    this.lives = lives;
    this.word = word;
    this.costs = costs;
    this.forecasts = forecasts;
    this.whatIf = whatIf;
    this.clock = clock;
  }

  /**
   * What history says.
   *
   * @throws RequestProblem where a value is out of range, or no such group is known
   */
  @Transactional(readOnly = true)
  public LifeView view(LifeQuestion q) {
    LifeSnapshot shop = lives.now();
    LifeGroups.GroupKey of = asked(q, shop);
    Group chosen = group(q, of, shop);
    Group group =
        q.years() == null || q.years() <= 0
            ? chosen
            : chosen.since(LocalDate.now(clock).minusYears(q.years()));
    GroupLife life = life(q, of.pump(), group, group == chosen, shop);
    TermsView terms = costs.terms(q, life);
    return RequestProblem.answered(() -> view(q, of, life, terms, shop));
  }

  /**
   * What is done today with the sets of a group that run now, against the best.
   *
   * @param best the cheapest way that may be chosen
   * @param today age at renewal today, h
   * @param over what that costs a year beyond the best, pounds
   * @param failuresToday failures a year as it is kept today
   * @param failuresBest failures a year at the best
   */
  public record Habit(
      Kept best,
      double bestHours,
      double today,
      double over,
      double failuresToday,
      double failuresBest) {}

  /** What a group's habit costs; empty where its runs do not tell, or a cost is not known. */
  public Optional<Habit> habit(Group group, LifeSnapshot shop) {
    LifeQuestion plain =
        new LifeQuestion(null, null, null, null, null, null, null, null, null, null, null);
    GroupLife life = life(plain, "", group, true, shop);
    TermsView terms = costs.terms(plain, life);
    Optional<Terms> known = LifeTerms.core(terms, life.perHour());
    if (life.running().isEmpty() || known.isEmpty() || !life.estimate().tells()) {
      return Optional.empty();
    }
    Policies p =
        Policies.of(life.estimate().chosenBy(), terms.warning(), known.get(), costs.today(life));
    double year = life.perHour() * terms.hoursPerYear();
    return LifeWays.today(p, life, terms)
        .flatMap(
            t ->
                p.chosen()
                    .map(
                        c ->
                            new Habit(
                                c,
                                life.hours(c.every()),
                                t.age(),
                                t.overPerYear(),
                                p.now().orElseThrow().failures() * year,
                                c.failures() * year)));
  }

  private LifeView view(
      LifeQuestion q,
      LifeGroups.GroupKey of,
      GroupLife life,
      TermsView termsView,
      LifeSnapshot shop) {
    LifeEstimate estimate = life.estimate();
    double reach = LifePlot.reach(life);
    String apart = GroupPumps.apart(life);
    List<FitCheck.Stretch> agreement =
        shop.agreement(life.lives(), life.group(), life.inCounts(), life.prior().shape());
    Optional<Terms> terms = LifeTerms.core(termsView, life.perHour());
    OptionalDouble today = costs.today(life);
    Optional<Policies> policies =
        terms.map(t -> Policies.of(estimate.chosenBy(), termsView.warning(), t, today));
    return new LifeView(
        groups(shop),
        groupView(q, of, life.group(), shop),
        life.inCounts() ? life.running().get(0).counted() : WearCount.HOURS,
        life.inCounts() ? life.perHour() : 0,
        LifeText.headline(policies, terms, estimate, life.perHour()),
        LifeText.basis(estimate, life.group()),
        LifeText.earlier(shop.inEarlierDuties(life.group(), life.inCounts(), life.prior().shape())),
        LifeText.sure(policies, terms, estimate, life.perHour()),
        Optional.of(life.inNumbers()),
        LifePlot.survival(life),
        LifePlot.curve(life, reach),
        LifePlot.ended(life),
        LifePlot.running(life, policies, terms),
        FitText.of(LifePlot.stretches(life, agreement), apart),
        CauseText.of(
            life,
            terms,
            termsView.hoursPerYear(),
            today.orElse(Double.POSITIVE_INFINITY),
            c -> shop.byCause(life.group(), life.inCounts(), life.prior().shape(), c),
            c -> without(c, of.pump(), life, terms, termsView.warning(), shop)),
        apart,
        GroupPumps.of(life, terms, termsView.warning()),
        GroupPumps.fresh(life, terms, termsView.warning()),
        termsView,
        terms.map(t -> LifePlot.costs(life, t, termsView.warning(), reach)).orElse(List.of()),
        policies.map(p -> LifeWays.all(p, life, terms.orElseThrow(), termsView)).orElse(List.of()),
        policies.flatMap(p -> LifeWays.today(p, life, termsView)),
        policies
            .map(
                p ->
                    whatIf.changes(
                        p,
                        estimate,
                        terms.orElseThrow(),
                        termsView,
                        life.running(),
                        life.perHour()))
            .orElse(List.of()));
  }

  /** What a set costs by 1 000 h at the best way where a cause is prevented, pounds. */
  private static Optional<Double> without(
      FailureCause cause,
      String pump,
      GroupLife life,
      Optional<Terms> terms,
      double warning,
      LifeSnapshot shop) {
    double shape = life.prior().shape();
    Group group = life.group().without(cause);
    LifeEstimate estimate =
        shop.estimate(
            pump, shop.fitted(group, life.inCounts(), shape), group, life.inCounts(), shape);
    return terms
        .flatMap(t -> Policies.of(estimate.chosenBy(), warning, t, OptionalDouble.empty()).chosen())
        .map(k -> life.perThousandHours(k.rate()));
  }

  // ---- which group ------------------------------------------------------------------------------

  private static LifeGroups.GroupKey asked(LifeQuestion q, LifeSnapshot shop) {
    if (q.pump() != null && !q.pump().isBlank()) {
      return shop.standing(q.pump().toUpperCase(Locale.ROOT)).of();
    }
    if (q.role() == null || q.material() == null) {
      return shop.groups().all(Level.DUTY).stream()
          .max(Comparator.comparingInt(Group::failures))
          .map(Group::of)
          .orElse(new LifeGroups.GroupKey("", "", "", "", ""));
    }
    return new LifeGroups.GroupKey(
        "", "", q.role(), q.material(), q.duty() == null ? "" : q.duty());
  }

  private static Group group(LifeQuestion q, LifeGroups.GroupKey of, LifeSnapshot shop) {
    if (q.level() == null) {
      return shop.groups().at(Level.DUTY, of);
    }
    if (!levels(of).contains(q.level())) {
      throw RequestProblem.invalid(
          "level", "Of no pump, a group is as wide as a duty or any duty.");
    }
    return shop.groups().at(q.level(), of);
  }

  private static List<Level> levels(LifeGroups.GroupKey of) {
    return of.pump().isEmpty() ? List.of(Level.DUTY, Level.ANY_DUTY) : List.of(Level.values());
  }

  /**
   * The life of a pump, or of an ordinary one of its group.
   *
   * @param pump whose life is told; empty for a new one
   * @param whole whether the group has all its runs: what is believed of it is kept then
   */
  private GroupLife life(
      LifeQuestion q, String pump, Group group, boolean whole, LifeSnapshot shop) {
    LifeGroups.GroupKey of = group.of();
    List<PumpInService> running =
        shop.all().stream()
            .filter(s -> of.pump().isEmpty() || s.pump().tag().equals(of.pump()))
            .filter(
                s -> of.construction().isEmpty() || s.of().construction().equals(of.construction()))
            .filter(s -> s.pump().role().equals(of.role()))
            .filter(s -> s.pump().material().equals(of.material()))
            .filter(s -> of.duty().isEmpty() || s.duty().equals(of.duty()))
            .toList();
    boolean inCounts =
        group.counted() && running.stream().anyMatch(s -> s.pump().countsPerHour() > 0);
    double perHour =
        inCounts
            ? running.stream()
                .mapToDouble(s -> s.pump().countsPerHour())
                .filter(c -> c > 0)
                .average()
                .orElseThrow()
            : 1;
    Prior prior = prior(q, of, running);
    GroupPosterior lives =
        RequestProblem.answered(
            () ->
                whole
                    ? shop.known(group, inCounts, prior.shape()).lives()
                    : shop.fitted(group, inCounts, prior.shape()));
    Function<String, LifeEstimate> ofPump =
        p -> shop.estimate(p, lives, group, inCounts, prior.shape());
    return new GroupLife(
        group,
        running,
        prior,
        inCounts,
        perHour,
        ofPump.apply(pump),
        lives,
        ofPump,
        shop.expectedMean("", group, inCounts, prior.shape()));
  }

  private Prior prior(LifeQuestion q, LifeGroups.GroupKey of, List<PumpInService> running) {
    double shape =
        q.mode() != null
            ? q.mode()
            : running.stream()
                .findFirst()
                .map(s -> s.prior().shape())
                .orElseGet(() -> word.shape(of.role(), of.material()));
    if (shape < 0.6 || shape > 10) {
      throw RequestProblem.invalid(
          "mode", "The shape of a failure mode lies between 0.6 and 10; got " + shape + ".");
    }
    return running.isEmpty()
        ? new Prior(word.baseHours(of.role(), of.material()), false, shape, Knowledge.THIN.spread())
        : new Prior(
            running.stream().mapToDouble(s -> s.prior().hours()).average().orElseThrow(),
            running.stream().allMatch(s -> s.prior().fromLibrary()),
            shape,
            running.stream().mapToDouble(s -> s.prior().spread()).max().orElseThrow());
  }

  private List<GroupLine> groups(LifeSnapshot shop) {
    return shop.groups().all(Level.DUTY).stream()
        .map(
            g ->
                new GroupLine(
                    g.of().role(),
                    g.of().material(),
                    g.of().duty(),
                    dutyName(g.of().duty()),
                    g.runs().size(),
                    g.failures()))
        .sorted(
            Comparator.comparing(GroupLine::role)
                .thenComparing(GroupLine::material)
                .thenComparing(GroupLine::dutyName))
        .toList();
  }

  private String dutyName(String duty) {
    return duty.isEmpty() ? "Any duty" : forecasts.duty(duty);
  }

  private GroupView groupView(
      LifeQuestion q, LifeGroups.GroupKey of, Group group, LifeSnapshot shop) {
    boolean chosenByTool = q.level() == null;
    return new GroupView(
        of.role(),
        of.material(),
        of.duty(),
        dutyName(of.duty()),
        group.level(),
        of.pump(),
        levels(of).stream()
            .map(l -> shop.groups().at(l, of))
            .map(
                g ->
                    new LevelLine(
                        g.level(),
                        LifeText.level(g.level(), of, dutyName(of.duty())),
                        g.runs().size(),
                        g.failures()))
            .toList(),
        chosenByTool && !of.pump().isEmpty()
            ? LifeText.together(group, shop.groups().at(Level.PUMP, of), of)
            : "",
        q.years() == null ? 0 : q.years());
  }
}
