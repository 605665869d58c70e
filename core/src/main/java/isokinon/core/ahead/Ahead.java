package isokinon.core.ahead;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.ActRefusal;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Part;
import isokinon.core.torque.TorqueReading;
import isokinon.core.value.Numbers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A job worked out ahead: from how it stands now, one situation after another as it usually goes
 * on, and in each what can come and what every reading would lead to. What the rules answer to a
 * reading can change only at the limits of the sheet, so they are asked at each limit and between
 * each two.
 */
public final class Ahead {

  /** More than this no job takes; a chain that does not end is broken off here. */
  private static final int MOST_SITUATIONS = 2_000;

  /** So many times a limit is far beyond it. */
  private static final double FAR = 1e6;

  /** Halvings from there to the last digit that anybody types, and that digit. */
  private static final int HALVINGS = 52;

  private static final double DIGITS = 1e6;

  private final Actor actor;
  private final Instant now;
  private final Function<Rebuild, Optional<Act>> choice;
  private final List<Situation> situations = new ArrayList<>();

  private Ahead(Actor actor, Instant now, Function<Rebuild, Optional<Act>> choice) {
    this.actor = actor;
    this.now = now;
    this.choice = choice;
  }

  /**
   * Works a job out ahead, as far as it goes without a choice or a second person.
   *
   * @param rebuild as it stands now
   * @param actor who works at it
   * @param now the time that every act is supposed to be done at
   * @param choice what would be fitted next, in a job that has still something to choose
   */
  public static List<Situation> of(
      Rebuild rebuild, Actor actor, Instant now, Function<Rebuild, Optional<Act>> choice) {
    Ahead ahead = new Ahead(actor, now, choice);
    ahead.work(rebuild);
    return List.copyOf(ahead.situations);
  }

  private void work(Rebuild from) {
    Rebuild rebuild = from;
    while (situations.size() < MOST_SITUATIONS) {
      List<Coming> coming = coming(rebuild);
      int at = situations.size();
      List<Possible> possible = new ArrayList<>();
      List<Situation> between = new ArrayList<>();
      Rebuild after = rebuild;
      String waits = coming.isEmpty() ? end(rebuild) : "";
      for (Coming next : coming) {
        Optional<Act> usual = allowed(after, next.usual());
        if (usual.isEmpty()) {
          waits = next.carries() ? refusal(after, next.usual()).orElse("") : waits;
          continue;
        }
        Rebuild done = plus(after, usual.get());
        int then = at + between.size() + (next.carries() ? 1 : 0);
        possible.add(new Possible(usual.get(), then, later(rebuild, next), bands(rebuild, next)));
        if (next.carries()) {
          after = done;
          between.add(new Situation(done, List.of(), ""));
        }
      }
      situations.add(new Situation(rebuild, possible, waits));
      if (!waits.isEmpty() || between.isEmpty()) {
        situations.addAll(between);
        return;
      }
      situations.addAll(between.subList(0, between.size() - 1));
      rebuild = after;
    }
  }

  private List<Coming> coming(Rebuild rebuild) {
    Optional<Act> chosen =
        rebuild.stage() == Stage.DECIDE ? choice.apply(rebuild) : Optional.empty();
    return chosen.map(c -> List.of(Coming.of(c))).orElseGet(() -> new NextActs(rebuild).all());
  }

  private static String end(Rebuild rebuild) {
    return rebuild.stage().title() + " goes on with the server.";
  }

  /**
   * The act, with what it must say where the rules let it pass only so; empty where they do not.
   */
  private Optional<Act> allowed(Rebuild rebuild, Act act) {
    return refusal(rebuild, act).isEmpty()
        ? Optional.of(act)
        : Optional.of(withReason(act)).filter(a -> refusal(rebuild, a).isEmpty());
  }

  private Optional<String> refusal(Rebuild rebuild, Act act) {
    return BenchRules.refuse(rebuild, act, actor, now).map(ActRefusal::message);
  }

  private Rebuild plus(Rebuild rebuild, Act act) {
    return rebuild.plus(
        new BenchEvent<>(rebuild.seq() + 1, now, actor.initials(), actor.lead(), act));
  }

  /** The same act with a reason, where it may carry one. */
  private static Act withReason(Act act) {
    String why = "said";
    if (act instanceof PartAct.Judged a) {
      return new PartAct.Judged(a.part(), a.verdict(), a.measurements(), a.signs(), why);
    }
    if (act instanceof ProofAct.Proved a) {
      return new ProofAct.Proved(a.test(), a.reading(), a.gauge(), why);
    }
    return act instanceof StepAct.StepDone a ? new StepAct.StepDone(a.step(), why) : act;
  }

  private static Act withoutReason(Act act) {
    return act instanceof PartAct.Judged a
        ? new PartAct.Judged(a.part(), a.verdict(), a.measurements(), a.signs(), "")
        : act;
  }

  private static Band.Unless unless(Act act) {
    return act instanceof ProofAct.Proved ? Band.Unless.TIMING : Band.Unless.BECAUSE;
  }

  /** What is found of a part may change the plan: that is worked out once the server is back. */
  private static String later(Rebuild rebuild, Coming next) {
    return next.usual() instanceof PartAct.Judged judged && judged.verdict() == Part.Verdict.RENEW
        ? rebuild.sheet().partName(judged.part())
            + ": what "
            + judged.verdict().code()
            + " makes of the plan"
        : "";
  }

  // ---- readings --------------------------------------------------------------------------------

  private List<Band> bands(Rebuild rebuild, Coming next) {
    List<Band> bands = new ArrayList<>();
    Act bare = withoutReason(next.usual());
    if (next.readings().isEmpty() || !next.readings().get(0).measure().isEmpty()) {
      Band whatever = band(rebuild, "", Optional.empty(), Optional.empty(), bare, Double.NaN);
      if (whatever.outcome() != Band.Outcome.GOES_ON) {
        bands.add(whatever);
      }
    }
    next.readings().forEach(asked -> bands.addAll(read(rebuild, asked)));
    return bands;
  }

  private List<Band> read(Rebuild rebuild, Coming.Asked asked) {
    List<Double> edges = edges(rebuild, asked);
    List<Band> narrow = new ArrayList<>();
    List<Band> wide = new ArrayList<>();
    for (int i = 0; i <= edges.size(); i++) {
      Optional<Double> least = i == 0 ? Optional.empty() : Optional.of(edges.get(i - 1));
      Optional<Double> most = i == edges.size() ? Optional.empty() : Optional.of(edges.get(i));
      most.ifPresent(m -> narrow.add(band(rebuild, asked.measure(), most, most, at(asked, m), m)));
      double between = between(least, most);
      wide.add(band(rebuild, asked.measure(), least, most, at(asked, between), between));
    }
    narrow.addAll(wide);
    return narrow;
  }

  /** The limits of the sheet, and beyond them the values at which nobody believes a reading. */
  private List<Double> edges(Rebuild rebuild, Coming.Asked asked) {
    List<Double> limits = asked.edges().stream().distinct().sorted().toList();
    double low = limits.isEmpty() ? 1 : limits.get(0);
    double high = limits.isEmpty() ? 1 : limits.get(limits.size() - 1);
    List<Double> edges = new ArrayList<>(limits);
    slip(rebuild, asked, low - FAR * Math.max(1, Math.abs(low)), low)
        .ifPresent(s -> edges.add(0, s));
    slip(rebuild, asked, high + FAR * Math.max(1, Math.abs(high)), high).ifPresent(edges::add);
    return edges;
  }

  /**
   * Where a reading between a limit and far beyond it begins to be refused; empty where none is.
   */
  private Optional<Double> slip(Rebuild rebuild, Coming.Asked asked, double far, double limit) {
    double near = limit + Math.signum(far - limit) * Math.max(Math.abs(limit), 1) / 1e6;
    if (refusal(rebuild, withReason(at(asked, far))).isEmpty()
        || refusal(rebuild, withReason(at(asked, near))).isPresent()) {
      return Optional.empty();
    }
    double believed = near;
    double refused = far;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (believed + refused) / 2;
      if (refusal(rebuild, withReason(at(asked, middle))).isPresent()) {
        refused = middle;
      } else {
        believed = middle;
      }
    }
    return Optional.of(Math.rint(believed * DIGITS) / DIGITS);
  }

  private static Act at(Coming.Asked asked, double value) {
    return withoutReason(asked.with().apply(value));
  }

  /** A value within two bounds; beyond one, near enough that nobody would call it a slip. */
  private static double between(Optional<Double> least, Optional<Double> most) {
    if (least.isPresent() && most.isPresent()) {
      return (least.get() + most.get()) / 2;
    }
    return least
        .map(l -> l + Math.max(Math.abs(l), 1) / 8)
        .orElseGet(() -> most.map(m -> m - Math.max(Math.abs(m), 1) / 8).orElse(1.0));
  }

  private Band band(
      Rebuild rebuild,
      String measure,
      Optional<Double> least,
      Optional<Double> most,
      Act act,
      double value) {
    Optional<String> refused = refusal(rebuild, act);
    if (refused.isPresent()) {
      boolean lifted = refusal(rebuild, withReason(act)).isEmpty();
      return new Band(
          measure,
          least,
          most,
          Band.Outcome.REFUSED,
          lifted && unless(act) == Band.Unless.TIMING
              ? NOT_TIMED
              : typed(refused.get(), act, value),
          lifted ? unless(act) : Band.Unless.NOTHING);
    }
    boolean open = asks(rebuild, act);
    return new Band(
        measure,
        least,
        most,
        open ? Band.Outcome.STAYS : Band.Outcome.GOES_ON,
        open ? still(rebuild, act, value) : "",
        Band.Unless.NOTHING);
  }

  private static final String TYPED_LITERALLY = Matcher.quoteReplacement(Band.TYPED);

  private static final String NOT_TIMED =
      "Its clock was not started here or still runs, or something cures yet: wait, or say how it"
          + " was timed.";

  /** The sentence with a gap for the number that will be typed. */
  private static String typed(String sentence, Act act, double value) {
    if (act instanceof StepAct.TorqueRead) {
      return Band.TYPED
          + " N·m cannot be a torque of this joint: look at the decimal mark and the unit.";
    }
    return Double.isNaN(value)
        ? sentence
        : sentence.replaceFirst(Pattern.quote(Numbers.plain(value)), TYPED_LITERALLY);
  }

  /** Whether the job asks the same again once the act is recorded. */
  private boolean asks(Rebuild rebuild, Act act) {
    if (act instanceof StepAct.Checked checked) {
      Rebuild after = plus(rebuild, act);
      return after.checks(checked.step()).stream()
          .filter(c -> c.id().equals(checked.check()))
          .anyMatch(c -> after.open(checked.step(), c).isPresent());
    }
    if (act instanceof StepAct.TorqueRead read) {
      return plus(rebuild, act)
          .torque(read.step())
          .map(t -> !t.fasteners().get(read.fastener()).settled())
          .orElse(false);
    }
    return act instanceof ProofAct.Proved proved
        && rebuild
            .sheet()
            .proofTest(proved.test())
            .filter(t -> t.runs().isEmpty() && !plus(rebuild, act).passed(t))
            .isPresent();
  }

  private static String still(Rebuild rebuild, Act act, double value) {
    if (act instanceof StepAct.TorqueRead read) {
      return rebuild
          .sheet()
          .fastening(read.step())
          .map(j -> TorqueReading.judge(j, 100, read.fastener(), value).lie())
          .map(lie -> lie == TorqueReading.Lie.OVER ? "over" : "short")
          .map(lie -> "Bolt " + read.fastener() + " is " + lie + " at " + Band.TYPED + " N·m.")
          .orElse("");
    }
    if (act instanceof StepAct.Checked checked) {
      return rebuild.checks(checked.step()).stream()
              .filter(c -> c.id().equals(checked.check()))
              .anyMatch(c -> c.second())
          ? "A second person signs for this once the server is back."
          : Band.TYPED + " misses the limit: put it right and read again.";
    }
    return Band.TYPED + " misses the limit.";
  }
}
