package isokinon.server.work.year;

import isokinon.core.counter.WearCount;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.year.Belief;
import isokinon.core.year.Keeping;
import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearPlan;
import isokinon.core.year.YearPump;
import isokinon.core.year.YearShop;
import isokinon.server.work.life.CounterMeasure;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.year.YearQuestion.ChangeKind;
import isokinon.server.work.year.YearQuestion.ChangeQuestion;
import isokinon.server.work.year.YearView.ChangeOption;
import isokinon.server.work.year.YearView.TriedChange;
import isokinon.server.work.year.YearView.WaitedKit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** One change beside a policy: what it is called, what is played, what it came to. */
@Component
class YearChanges {

  private static final int MOST_PIECES = 100;
  private static final int OPTIONS_OF_A_KIND = 3;

  private final LifeService lives;
  private final BenchHours people;

  YearChanges(LifeService lives, BenchHours people) {
    this.lives = lives;
    this.people = people;
  }

  /** What the shop's own figures suggest to try. */
  List<ChangeOption> options(YearGround ground, List<WaitedKit> kits, YearPlan right) {
    List<ChangeQuestion> changes = new ArrayList<>();
    for (WaitedKit k : kits) {
      changes.add(new ChangeQuestion(ChangeKind.KIT, null, k.number(), 1, null, null));
    }
    ground.subjects().stream()
        .flatMap(s -> causes(s.life()).entrySet().stream().map(e -> Map.entry(s.tag(), e)))
        .sorted(Comparator.comparingLong(e -> -e.getValue().getValue()))
        .limit(OPTIONS_OF_A_KIND)
        .forEach(
            e ->
                changes.add(
                    new ChangeQuestion(
                        ChangeKind.PREVENTED,
                        e.getKey(),
                        null,
                        null,
                        null,
                        e.getValue().getKey())));
    changes.add(new ChangeQuestion(ChangeKind.ONE_PERSON_MORE, null, null, null, null, null));
    changes.add(new ChangeQuestion(ChangeKind.ONE_PERSON_LESS, null, null, null, null, null));
    return changes.stream()
        .map(
            c ->
                new ChangeOption(
                    say(c, ground),
                    c.kind(),
                    Optional.ofNullable(c.pump()),
                    Optional.ofNullable(c.kit()),
                    Optional.ofNullable(c.pieces()),
                    Optional.ofNullable(c.cause())))
        .toList();
  }

  /** How often the sets of this very pump failed of each cause that something prevents. */
  private static Map<FailureCause, Long> causes(Life life) {
    String tag = life.standing().pump().tag();
    return life.group().runs().stream()
        .filter(r -> r.pump().equals(tag) && r.hours().failed())
        .map(WearRun::cause)
        .filter(c -> CounterMeasure.against(c).isPresent())
        .collect(Collectors.groupingBy(c -> c, Collectors.counting()));
  }

  /**
   * What a change is called.
   *
   * @throws RequestProblem where it cannot be played
   */
  static String say(ChangeQuestion c, YearGround ground) {
    if (c.kind() == null) {
      throw RequestProblem.invalid("kind", "Say what is changed.");
    }
    return switch (c.kind()) {
      case KIT -> {
        int more = pieces(c);
        yield Text.count(Math.abs(more), "piece")
            + (more > 0 ? " more of " : " fewer of ")
            + ground.shop().kits().get(kit(c, ground)).name();
      }
      case ONE_PERSON_MORE -> "One person more at the bench";
      case ONE_PERSON_LESS -> "One person less at the bench";
      case AT_AN_AGE -> "Renew " + subject(c, ground).tag() + " at " + Text.plain(hours(c)) + " h";
      case UNTIL_IT_FAILS -> "Run " + subject(c, ground).tag() + " until it fails";
      case PREVENTED -> Text.sentence(measure(c).name()) + " on " + subject(c, ground).tag();
    };
  }

  private static int kit(ChangeQuestion c, YearGround ground) {
    if (c.kit() == null || c.kit() < 0 || c.kit() >= ground.shop().kits().size()) {
      throw RequestProblem.invalid("kit", "Say which kit, by its number in the answer.");
    }
    return c.kit();
  }

  private static int pieces(ChangeQuestion c) {
    int more = c.pieces() == null ? 1 : c.pieces();
    if (more == 0 || Math.abs(more) > MOST_PIECES) {
      throw RequestProblem.invalid("pieces", "Give 1 to " + MOST_PIECES + " pieces more or fewer.");
    }
    return more;
  }

  private static double hours(ChangeQuestion c) {
    if (c.hours() == null || !(c.hours() >= 1 && c.hours() <= 1e6)) {
      throw RequestProblem.invalid("hours", "Give the hours, 1 to a million.");
    }
    return c.hours();
  }

  private static CounterMeasure measure(ChangeQuestion c) {
    if (c.cause() == null) {
      throw RequestProblem.invalid("cause", "Say which cause is prevented.");
    }
    return CounterMeasure.against(c.cause())
        .orElseThrow(
            () ->
                RequestProblem.invalid(
                    "cause", "Nothing but renewal prevents that cause: " + c.cause().code() + "."));
  }

  private static YearSubject subject(ChangeQuestion c, YearGround ground) {
    String tag = c.pump() == null ? "" : c.pump().toUpperCase(Locale.ROOT);
    return ground.subjects().stream()
        .filter(s -> s.tag().equals(tag))
        .findFirst()
        .orElseThrow(
            () -> RequestProblem.invalid("pump", "No pump of this year is called " + tag + "."));
  }

  /** The plan with the change in it, the same pumps in the same order. */
  YearPlan plan(ChangeQuestion c, YearGround ground, YearPlan right) {
    return switch (c.kind()) {
      case KIT -> in(right, right.shop().with(kit(c, ground), pieces(c)));
      case ONE_PERSON_MORE -> in(right, with(ground, right.shop(), PeopleLevel.ONE_MORE));
      case ONE_PERSON_LESS -> in(right, with(ground, right.shop(), PeopleLevel.ONE_LESS));
      case AT_AN_AGE -> kept(right, subject(c, ground), subject(c, ground).atHours(hours(c)));
      case UNTIL_IT_FAILS -> kept(right, subject(c, ground), subject(c, ground).untilItFails());
      case PREVENTED -> prevented(c, ground, right);
    };
  }

  private static YearPlan in(YearPlan plan, YearShop shop) {
    return new YearPlan(plan.pumps(), plan.kept(), shop, plan.beliefs());
  }

  private YearShop with(YearGround ground, YearShop shop, PeopleLevel level) {
    return new YearShop(
        people.days(ground.from(), level),
        shop.kits(),
        shop.pieces(),
        shop.still(),
        shop.overtimePerHour());
  }

  private static YearPlan kept(YearPlan plan, YearSubject subject, Keeping keeping) {
    List<Keeping> kept = new ArrayList<>(plan.kept());
    kept.set(plan.pumps().indexOf(subject.pump()), keeping);
    return new YearPlan(plan.pumps(), kept, plan.shop(), plan.beliefs());
  }

  /** The life of the pump as its group would live if the cause ended none. */
  private YearPlan prevented(ChangeQuestion c, YearGround ground, YearPlan plan) {
    measure(c);
    YearSubject subject = subject(c, ground);
    Life life = subject.life();
    GroupPosterior without =
        lives
            .now()
            .fitted(
                life.group().without(c.cause()),
                life.counted() != WearCount.HOURS,
                life.standing().prior().shape());
    List<Belief> beliefs = new ArrayList<>(plan.beliefs());
    beliefs.add(new Belief(without.joint(), plan.beliefs().get(subject.pump().belief()).luck()));
    List<YearPump> pumps = new ArrayList<>(plan.pumps());
    int at = pumps.indexOf(subject.pump());
    pumps.set(
        at, subject.pump().believed(beliefs.size() - 1, without.joint().place(subject.tag())));
    return new YearPlan(pumps, plan.kept(), plan.shop(), beliefs);
  }

  /** What it came to beside the policy that it changes. */
  static TriedChange came(String say, YearOutcome right, YearOutcome changed) {
    double[] saves = YearBands.less(right.money(), changed.money());
    double failures = mean(right.failures()) - mean(changed.failures());
    double down = YearBands.mean(right.downDays()) - YearBands.mean(changed.downDays());
    return new TriedChange(
        say,
        YearBands.mean(saves),
        YearBands.of(saves),
        because(failures, down),
        YearBands.whole(saves));
  }

  private static double mean(int[] years) {
    return Arrays.stream(years).average().orElse(0);
  }

  private static String because(double failures, double down) {
    return "Failures a year: " + change(failures) + "; days down by failure: " + change(down) + ".";
  }

  private static String change(double fewer) {
    String much = String.format(Locale.ROOT, "%.1f", Math.abs(fewer));
    return much.equals("0.0") ? "as many" : much + (fewer > 0 ? " fewer" : " more");
  }
}
