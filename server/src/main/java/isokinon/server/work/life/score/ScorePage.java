package isokinon.server.work.life.score;

import isokinon.core.life.score.Calibration;
import isokinon.core.life.score.Calibration.Bin;
import isokinon.core.life.score.Followed;
import isokinon.core.life.score.Followed.Out;
import isokinon.core.life.score.Scored;
import isokinon.server.work.life.score.PastForecasts.Past;
import isokinon.server.work.life.score.ScoreView.FollowedWay;
import isokinon.server.work.life.score.ScoreView.ScoreBin;
import isokinon.server.work.life.score.ScoreView.ScoredSet;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How often forecasts were right here, and what following the advice came to. */
@Service
public class ScorePage {

  private static final int SURPRISES = 4;

  /** What surprised less than this was to be expected: a chance of one in five. */
  private static final double SURPRISING = -Math.log(0.2);

  /** With fewer sets nothing is said of how far it can be trusted. */
  private static final int TELL = 12;

  private final PastForecasts past;
  private final Clock clock;

  ScorePage(PastForecasts past, Clock clock) {
    this.past = past;
    this.clock = clock;
  }

  /**
   * How often forecasts were right.
   *
   * @param role of the parts; empty for all
   * @param years only sets that came out in the last so many years; 0 for all
   */
  @Transactional(readOnly = true)
  public ScoreView view(String role, int years) {
    LocalDate from = years <= 0 ? LocalDate.MIN : LocalDate.now(clock).minusYears(years);
    List<Past> everything = past.all();
    List<Past> asked =
        everything.stream()
            .filter(p -> role.isEmpty() || p.run().role().equals(role))
            .filter(p -> !p.run().endedOn().isBefore(from))
            .toList();
    List<Past> sets = asked.stream().filter(Past::scored).toList();
    Calibration c = Calibration.of(sets.stream().map(ScorePage::scored).toList());
    List<Out> outs = sets(asked);
    List<FollowedWay> ways =
        List.of(
            way("Sooner", outs, late -> late < -Followed.ABOUT),
            way("As advised", outs, late -> Math.abs(late) <= Followed.ABOUT),
            way("Later", outs, late -> late > Followed.ABOUT));
    return new ScoreView(
        headline(c.all()),
        say(c),
        sets.size(),
        (int) sets.stream().filter(Past::kept).count(),
        asked.size() - sets.size(),
        bin(c.all()),
        c.bins().stream().map(ScorePage::bin).toList(),
        c.skill(),
        sets.isEmpty() ? 0 : c.all().failed() / (double) sets.size(),
        sets.stream().map(ScorePage::set).toList(),
        sets.stream()
            .filter(p -> scored(p).surprise() > SURPRISING)
            .sorted(Comparator.comparingDouble((Past p) -> -scored(p).surprise()))
            .limit(SURPRISES)
            .map(ScorePage::set)
            .toList(),
        ways,
        followed(ways),
        everything.stream().map(p -> p.run().role()).distinct().sorted().toList());
  }

  private static Scored scored(Past p) {
    return new Scored(Math.min(1, Math.max(0, p.said())), p.failed());
  }

  /** Sets for which an age was advised, and whose costs are known. */
  private static List<Out> sets(List<Past> asked) {
    return asked.stream()
        .filter(p -> p.advised().isPresent() && p.costs().isPresent() && p.run().age() > 0)
        .map(
            p ->
                new Out(
                    p.run().age(),
                    p.done(),
                    p.advised().get(),
                    p.run().failed(),
                    p.costs().get().planned(),
                    p.costs().get().failed()))
        .toList();
  }

  private static FollowedWay way(String title, List<Out> outs, DoublePredicate late) {
    Followed f = Followed.of(outs.stream().filter(o -> late.test(o.late())).toList());
    return new FollowedWay(title, f.sets(), f.failed(), f.per1000(), f.low(), f.high());
  }

  private static ScoreBin bin(Bin b) {
    return new ScoreBin(
        b.from(), b.to(), b.sets(), b.said(), b.failed(), b.low(), b.high(), b.parts());
  }

  private static ScoredSet set(Past p) {
    return new ScoredSet(
        p.run().pump(),
        p.run().material(),
        p.run().endedOn().toString(),
        p.said(),
        p.failed(),
        p.advised().map(a -> p.done() / a - 1),
        p.run().cause());
  }

  private static String headline(Bin all) {
    if (all.sets() == 0) {
      return "No set has come out yet that a forecast can be held against.";
    }
    return "It said "
        + Math.round(all.said() * all.sets())
        + " would fail. "
        + all.failed()
        + " did.";
  }

  private static String say(Calibration c) {
    if (c.all().sets() < TELL) {
      return c.all().sets() == 0
          ? ""
          : Text.count(c.all().sets(), "set") + " are too few to say how far it can be trusted.";
    }
    Optional<Bin> worst =
        c.bins().stream()
            .filter(Bin::parts)
            .max(Comparator.comparingDouble(b -> Math.abs(b.failed() - b.said() * b.sets())));
    return worst
        .map(
            b ->
                "Of "
                    + b.sets()
                    + " it called at "
                    + Math.round(100 * b.said())
                    + " in 100, "
                    + b.failed()
                    + " failed, "
                    + Math.round(100.0 * b.failed() / b.sets())
                    + " in 100: there it says too "
                    + (b.failed() > b.high() ? "little." : "much."))
        .orElse("It can be taken at its word: nowhere does what came part from what was said.");
  }

  private static String followed(List<FollowedWay> ways) {
    FollowedWay as = ways.get(1);
    FollowedWay later = ways.get(2);
    if (as.sets() < 3 || later.sets() < 3) {
      return "";
    }
    if (later.low() > as.high()) {
      return "Going later cost more than going as advised.";
    }
    return later.per1000() > as.per1000()
        ? "Going later seems to have cost more; luck may have done it."
        : "What was done later cost no more here.";
  }
}
