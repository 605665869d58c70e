package isokinon.server.work;

import isokinon.core.life.BestAgeBand;
import isokinon.core.life.InspectRenew;
import isokinon.core.life.KaplanMeier;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeEstimate.Shown;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Policies;
import isokinon.core.life.Policies.Kept;
import isokinon.core.life.Policies.Terms;
import isokinon.core.life.Policies.Way;
import isokinon.core.life.RenewalCost;
import isokinon.core.life.Run;
import isokinon.core.life.WeibullFit;
import isokinon.server.work.LifeView.CostPoint;
import isokinon.server.work.LifeView.EndedRun;
import isokinon.server.work.LifeView.EstimateView;
import isokinon.server.work.LifeView.GroupLine;
import isokinon.server.work.LifeView.GroupView;
import isokinon.server.work.LifeView.LevelLine;
import isokinon.server.work.LifeView.PointView;
import isokinon.server.work.LifeView.PolicyView;
import isokinon.server.work.LifeView.RunningSet;
import isokinon.server.work.LifeView.SurvivalStep;
import isokinon.server.work.LifeView.TermsView;
import isokinon.server.work.LifeView.TodayView;
import isokinon.server.work.ShopLives.Prior;
import isokinon.server.work.ShopLives.Standing;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What history says of a group of wear parts, and how to keep them. */
@Service
public class LifePlace {

  /** Share of a life that is left at the first sign of warning, where nobody says (shop rule). */
  static final double WARNING = 0.12;

  private static final int POINTS = 96;
  private static final double YEAR = 365.25;

  /** So many sound removals tell what is done today (shop rule). */
  private static final int TELLS_TODAY = 3;

  private static final int TODAY_DAYS = 730;
  private static final double PER = 1000;

  /**
   * What is asked.
   *
   * @param pump a pump; its set is the part, and its own runs the narrowest group
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
      String level,
      Integer years,
      Double mode,
      Double planned,
      Double failed,
      Double look,
      Double warning) {}

  private final Lives lives;
  private final Renewals renewals;
  private final Forecasts forecasts;
  private final WhatIf whatIf;
  private final Clock clock;

  LifePlace(Lives lives, Renewals renewals, Forecasts forecasts, WhatIf whatIf, Clock clock) {
    this.lives = lives;
    this.renewals = renewals;
    this.forecasts = forecasts;
    this.whatIf = whatIf;
    this.clock = clock;
  }

  /** A group with the sets that run in it, and its life in hours of a typical pump. */
  private record Taken(
      Group group, List<Standing> running, Prior prior, double perHour, LifeEstimate estimate) {

    double hours(double age) {
      return age / perHour;
    }
  }

  /**
   * What history says.
   *
   * @throws Refused where a value is out of range, or no such group is known
   */
  @Transactional(readOnly = true)
  public LifeView view(LifeQuestion q) {
    ShopLives shop = lives.now();
    LifeGroups.Of of = asked(q, shop);
    Group chosen = group(q, of, shop);
    Group group =
        q.years() == null || q.years() <= 0
            ? chosen
            : chosen.since(LocalDate.now(clock).minusYears(q.years()));
    Taken taken = taken(q, group, shop);
    TermsView terms = terms(q, taken);
    return Compute.answered(() -> view(q, of, taken, terms, shop));
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
  record Habit(
      Kept best,
      double bestHours,
      double today,
      double over,
      double failuresToday,
      double failuresBest) {}

  /** What a group's habit costs; empty where its runs do not tell, or a cost is not known. */
  Optional<Habit> habit(Group group, ShopLives shop) {
    LifeQuestion plain =
        new LifeQuestion(null, null, null, null, null, null, null, null, null, null, null);
    Taken taken = taken(plain, group, shop);
    TermsView terms = terms(plain, taken);
    Optional<Terms> known = core(terms, taken.perHour());
    if (taken.running().isEmpty() || known.isEmpty() || !taken.estimate().tells()) {
      return Optional.empty();
    }
    Policies p = Policies.of(taken.estimate().life(), terms.warning(), known.get(), today(taken));
    double year = taken.perHour() * terms.hoursPerYear();
    return todayView(p, taken, terms)
        .flatMap(
            t ->
                p.chosen()
                    .map(
                        c ->
                            new Habit(
                                c,
                                taken.hours(c.every()),
                                t.age(),
                                t.overPerYear(),
                                p.now().orElseThrow().failures() * year,
                                c.failures() * year)));
  }

  private LifeView view(
      LifeQuestion q, LifeGroups.Of of, Taken taken, TermsView termsView, ShopLives shop) {
    LifeEstimate estimate = taken.estimate();
    List<Run> ages = taken.group().ages(inCounts(taken));
    double reach = reach(taken, ages);
    Optional<Terms> terms = core(termsView, taken.perHour());
    OptionalDouble today = today(taken);
    Optional<Policies> policies =
        terms.map(t -> Policies.of(estimate.life(), termsView.warning(), t, today));
    return new LifeView(
        groups(shop),
        groupView(q, of, taken.group(), shop),
        taken.perHour() == 1 ? "hours" : taken.running().get(0).counted().code(),
        taken.perHour() == 1 ? 0 : taken.perHour(),
        LifeWords.headline(policies, terms, estimate, taken.perHour()),
        LifeWords.basis(estimate, taken.group()),
        sure(policies, terms, estimate, taken.perHour()),
        Optional.of(estimateView(taken)),
        KaplanMeier.of(ages).stream()
            .map(s -> new SurvivalStep(taken.hours(s.age()), s.survival(), s.low(), s.high()))
            .toList(),
        curve(taken, reach),
        ended(taken),
        running(taken, policies, terms),
        termsView,
        terms.map(t -> costs(taken, t, termsView.warning(), reach)).orElse(List.of()),
        policies.map(p -> policyViews(p, taken, terms.orElseThrow(), termsView)).orElse(List.of()),
        policies.flatMap(p -> todayView(p, taken, termsView)),
        policies
            .map(
                p ->
                    whatIf.changes(
                        p,
                        estimate,
                        terms.orElseThrow(),
                        termsView,
                        taken.running(),
                        taken.perHour()))
            .orElse(List.of()));
  }

  // ---- which group ------------------------------------------------------------------------------

  private static LifeGroups.Of asked(LifeQuestion q, ShopLives shop) {
    if (q.pump() != null && !q.pump().isBlank()) {
      return shop.standing(q.pump().toUpperCase(Locale.ROOT)).of();
    }
    if (q.role() == null || q.material() == null) {
      return shop.groups().all(Level.DUTY).stream()
          .max(Comparator.comparingInt(Group::failures))
          .map(Group::of)
          .orElse(new LifeGroups.Of("", "", "", "", ""));
    }
    return new LifeGroups.Of("", "", q.role(), q.material(), q.duty() == null ? "" : q.duty());
  }

  private static Group group(LifeQuestion q, LifeGroups.Of of, ShopLives shop) {
    if (q.level() == null || q.level().isBlank()) {
      return of.pump().isEmpty() ? shop.groups().at(Level.DUTY, of) : shop.groups().narrowest(of);
    }
    return levels(of).stream()
        .filter(l -> code(l).equals(q.level()))
        .findFirst()
        .map(l -> shop.groups().at(l, of))
        .orElseThrow(
            () ->
                Refused.of(
                    400, "level", "A group is as wide as a pump, construction, duty or any-duty."));
  }

  private static List<Level> levels(LifeGroups.Of of) {
    return of.pump().isEmpty() ? List.of(Level.DUTY, Level.ANY_DUTY) : List.of(Level.values());
  }

  private static String code(Level level) {
    return level.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private Taken taken(LifeQuestion q, Group group, ShopLives shop) {
    LifeGroups.Of of = group.of();
    List<Standing> running =
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
    return new Taken(
        group,
        running,
        prior,
        perHour,
        Compute.answered(
            () -> LifeEstimate.of(prior.shape(), prior.hours() * perHour, group.ages(inCounts))));
  }

  private Prior prior(LifeQuestion q, LifeGroups.Of of, List<Standing> running) {
    double shape =
        q.mode() != null
            ? q.mode()
            : running.stream()
                .findFirst()
                .map(s -> s.prior().shape())
                .orElseGet(() -> lives.shape(of.role(), of.material()));
    if (shape < 0.6 || shape > 10) {
      throw Refused.of(
          400, "mode", "The shape of a failure mode lies between 0.6 and 10; got " + shape + ".");
    }
    return running.isEmpty()
        ? new Prior(lives.baseHours(of.role(), of.material()), false, shape)
        : new Prior(
            running.stream().mapToDouble(s -> s.prior().hours()).average().orElseThrow(),
            running.stream().allMatch(s -> s.prior().fromLibrary()),
            shape);
  }

  private static boolean inCounts(Taken taken) {
    return taken.perHour() != 1;
  }

  private List<GroupLine> groups(ShopLives shop) {
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

  private GroupView groupView(LifeQuestion q, LifeGroups.Of of, Group group, ShopLives shop) {
    boolean chosenByTool = q.level() == null || q.level().isBlank();
    return new GroupView(
        of.role(),
        of.material(),
        of.duty(),
        dutyName(of.duty()),
        code(group.level()),
        of.pump(),
        levels(of).stream()
            .map(l -> shop.groups().at(l, of))
            .map(
                g ->
                    new LevelLine(
                        code(g.level()),
                        LifeWords.level(g.level(), of, dutyName(of.duty())),
                        g.runs().size(),
                        g.failures()))
            .toList(),
        chosenByTool && !of.pump().isEmpty()
            ? LifeWords.widened(group, shop.groups().at(Level.PUMP, of), of)
            : "",
        q.years() == null ? 0 : q.years());
  }

  // ---- what it costs ----------------------------------------------------------------------------

  private TermsView terms(LifeQuestion q, Taken taken) {
    List<Renewals.Renewal> each =
        taken.running().stream().flatMap(s -> renewals.of(s.pump()).stream()).toList();
    OptionalDouble planned =
        each.stream().flatMap(r -> r.planned().stream()).mapToDouble(d -> d).average();
    OptionalDouble stop = each.stream().mapToDouble(Renewals.Renewal::stop).average();
    OptionalDouble look = each.stream().mapToDouble(Renewals.Renewal::look).average();
    Optional<Double> plannedCost = given(q.planned(), planned);
    return new TermsView(
        plannedCost,
        q.failed() != null
            ? Optional.of(q.failed())
            : plannedCost.filter(p -> stop.isPresent()).map(p -> p + stop.getAsDouble()),
        given(q.look(), look),
        q.warning() == null ? WARNING : q.warning(),
        taken.running().stream().anyMatch(s -> s.pump().harms()),
        each.stream().flatMap(r -> r.mostHours().stream()).min(Comparator.naturalOrder()),
        taken.running().stream().mapToDouble(s -> s.usage().perDay() * YEAR).sum(),
        taken.running().size(),
        LifeWords.costs(taken.running().size(), planned.isPresent(), each));
  }

  private static Optional<Double> given(Double typed, OptionalDouble known) {
    return typed != null
        ? Optional.of(typed)
        : known.isPresent() ? Optional.of(known.getAsDouble()) : Optional.empty();
  }

  /** The terms in the unit of the estimate; empty where a cost is not known. */
  private static Optional<Terms> core(TermsView t, double perHour) {
    return t.planned()
        .flatMap(
            planned ->
                t.failed()
                    .map(
                        failed ->
                            new Terms(
                                planned,
                                failed,
                                t.look().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                                t.harms(),
                                t.limit()
                                    .map(l -> OptionalDouble.of(l * perHour))
                                    .orElse(OptionalDouble.empty()))));
  }

  /** The age at which sets are renewed today: as they were lately, else as their intervals say. */
  private OptionalDouble today(Taken taken) {
    LocalDate from = LocalDate.now(clock).minusDays(TODAY_DAYS);
    List<WearRun> lately =
        taken.group().runs().stream()
            .filter(r -> r.ended().filter(e -> !e.isBefore(from)).isPresent())
            .filter(r -> !r.hours().failed())
            .toList();
    if (lately.size() >= TELLS_TODAY) {
      return lately.stream()
          .mapToDouble(r -> inCounts(taken) ? r.counts().orElseThrow().age() : r.hours().age())
          .average();
    }
    return taken.running().stream()
        .mapToDouble(s -> s.pump().intervalHours() * taken.perHour())
        .average();
  }

  // ---- what is drawn ----------------------------------------------------------------------------

  private static double reach(Taken taken, List<Run> ages) {
    double oldest = ages.stream().mapToDouble(Run::age).max().orElse(0);
    return Math.max(oldest * 1.05, taken.estimate().quantile(0.97));
  }

  private static List<PointView> curve(Taken taken, double reach) {
    List<PointView> curve = new ArrayList<>();
    for (int i = 0; i <= POINTS; i++) {
      double age = reach * i / POINTS;
      curve.add(new PointView(taken.hours(age), taken.estimate().survival(age)));
    }
    return curve;
  }

  private static List<CostPoint> costs(Taken taken, Terms t, double warning, double reach) {
    LifeEstimate life = taken.estimate();
    Optional<InspectRenew.Costs> looks =
        t.look().isPresent()
            ? Optional.of(new InspectRenew.Costs(t.look().getAsDouble(), t.planned(), t.failed()))
            : Optional.empty();
    InspectRenew.Warning warns = Policies.warning(life.life(), warning);
    double scale = PER * taken.perHour();
    List<CostPoint> costs = new ArrayList<>();
    for (int i = 1; i <= POINTS; i++) {
      double age = reach * i / POINTS;
      costs.add(
          new CostPoint(
              taken.hours(age),
              RenewalCost.at(age, life, t.planned(), t.failed()) * scale,
              looks.map(c -> InspectRenew.rate(age, warns, c) * scale)));
    }
    return costs;
  }

  private static List<EndedRun> ended(Taken taken) {
    return taken.group().runs().stream()
        .filter(r -> !r.running())
        .map(
            r -> {
              Run run = inCounts(taken) ? r.counts().orElseThrow() : r.hours();
              return new EndedRun(
                  r.pump(),
                  taken.hours(run.from()),
                  taken.hours(run.age()),
                  run.failed(),
                  r.ended().orElseThrow().toString());
            })
        .sorted(Comparator.comparingDouble(EndedRun::age))
        .toList();
  }

  private static List<RunningSet> running(
      Taken taken, Optional<Policies> policies, Optional<Terms> terms) {
    Optional<Kept> fixed = policies.flatMap(Policies::fixed);
    Optional<Double> to =
        fixed.map(f -> Policies.hardlyDearerTo(f, taken.estimate().life(), terms.orElseThrow()));
    Stream<RunningSet> sets =
        taken.running().isEmpty()
            ? taken.group().runs().stream()
                .filter(WearRun::running)
                .map(r -> runningSet(r.pump(), r.hours().age(), taken, fixed, to))
            : taken.running().stream()
                .map(
                    s ->
                        runningSet(
                            s.pump().tag(),
                            inCounts(taken) ? s.pump().countAge() : s.pump().age(),
                            taken,
                            fixed,
                            to));
    return sets.sorted(Comparator.comparingDouble(RunningSet::age)).toList();
  }

  /**
   * A set by its age: short of the best age, inside the band that costs hardly more, or past it.
   */
  private static RunningSet runningSet(
      String tag, double age, Taken taken, Optional<Kept> fixed, Optional<Double> to) {
    double hours = taken.hours(age);
    if (fixed.isEmpty()) {
      return new RunningSet(tag, hours, "sound", "");
    }
    double best = fixed.get().every();
    if (age > to.orElseThrow()) {
      return new RunningSet(tag, hours, "renew", LifeWords.h(taken.hours(age - best)) + " past");
    }
    return age > best
        ? new RunningSet(
            tag,
            hours,
            "watch",
            "inside the band, " + LifeWords.h(taken.hours(to.get() - age)) + " left")
        : new RunningSet(tag, hours, "sound", LifeWords.h(taken.hours(best - age)) + " to go");
  }

  private static EstimateView estimateView(Taken taken) {
    LifeEstimate e = taken.estimate();
    Optional<WeibullFit> fit = e.fit();
    int running = (int) taken.group().runs().stream().filter(WearRun::running).count();
    return new EstimateView(
        e.shown() == Shown.LIKELIHOOD ? "likelihood" : "posterior",
        e.tells(),
        e.shape(),
        e.posterior().shape(),
        fit.map(WeibullFit::shapeLow),
        fit.map(WeibullFit::shapeHigh),
        taken.hours(e.scale(0.05)),
        taken.hours(e.scale(0.5)),
        taken.hours(e.scale(0.95)),
        taken.hours(e.meanLife()),
        taken.prior().hours(),
        taken.prior().fromLibrary(),
        e.runs(),
        e.failures(),
        e.runs() - e.failures() - running,
        running);
  }

  private static String sure(
      Optional<Policies> policies, Optional<Terms> terms, LifeEstimate estimate, double perHour) {
    if (!estimate.tells()) {
      return "With "
          + Words.count(estimate.failures(), "failure")
          + " the library's word carries it: one failure more may move it far.";
    }
    return policies
        .flatMap(Policies::fixed)
        .flatMap(
            f ->
                BestAgeBand.of(
                    estimate, terms.orElseThrow().planned(), terms.orElseThrow().failed()))
        .map(
            b ->
                "Over what the runs leave open, the best age falls between "
                    + LifeWords.h(b.low() / perHour)
                    + " and "
                    + LifeWords.h(b.high() / perHour)
                    + " eight times in ten.")
        .orElse("");
  }

  private static List<PolicyView> policyViews(
      Policies p, Taken taken, Terms terms, TermsView view) {
    List<PolicyView> views = new ArrayList<>();
    views.add(
        p.fixed()
            .map(k -> policyView(k, p, taken, terms, view))
            .orElseGet(() -> dear(Way.FIXED, "no age pays")));
    views.add(policyView(p.untilItFails(), p, taken, terms, view));
    p.look()
        .map(k -> policyView(k, p, taken, terms, view))
        .or(
            () ->
                terms.look().isPresent()
                    ? Optional.of(dear(Way.LOOK, LifeWords.neverPays(terms)))
                    : Optional.empty())
        .ifPresent(views::add);
    return views;
  }

  /** A way that costs more than running until it fails, whatever its setting. */
  private static PolicyView dear(Way way, String say) {
    return new PolicyView(
        way(way),
        LifeWords.title(way),
        say,
        Optional.empty(),
        Optional.empty(),
        0,
        0,
        0,
        0,
        "dear",
        false);
  }

  private static PolicyView policyView(
      Kept k, Policies p, Taken taken, Terms terms, TermsView view) {
    double year = taken.perHour() * view.hoursPerYear();
    boolean endless = Double.isInfinite(k.every());
    return new PolicyView(
        way(k.way()),
        LifeWords.title(k.way()),
        LifeWords.say(k, terms, taken.perHour()),
        endless ? Optional.empty() : Optional.of(taken.hours(k.every())),
        k.way() == Way.FIXED
            ? Optional.of(taken.hours(Policies.hardlyDearerTo(k, taken.estimate().life(), terms)))
            : Optional.empty(),
        k.rate() * taken.perHour() * PER,
        k.rate() * year,
        k.failures() * year,
        k.renewals() * year,
        k.bar().name().toLowerCase(Locale.ROOT),
        p.chosen().filter(c -> c.way() == k.way()).isPresent());
  }

  static String way(Way way) {
    return switch (way) {
      case FIXED -> Policy.FIXED;
      case UNTIL_IT_FAILS -> Policy.UNTIL_IT_FAILS;
      case LOOK -> Policy.LOOK;
    };
  }

  private static Optional<TodayView> todayView(Policies p, Taken taken, TermsView view) {
    return p.now()
        .filter(n -> view.positions() > 0)
        .map(
            now -> {
              double best = p.chosen().map(Kept::rate).orElse(now.rate());
              double over = (now.rate() - best) * taken.perHour() * view.hoursPerYear();
              double age = taken.hours(now.every());
              return new TodayView(
                  age,
                  now.rate() * taken.perHour() * PER,
                  Math.max(0, over),
                  "today, about " + LifeWords.h(age));
            });
  }
}
