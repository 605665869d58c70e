package isokinon.server.work.life;

import isokinon.core.life.KaplanMeier;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LogRank;
import isokinon.core.life.Run;
import isokinon.server.work.life.LifeView.SurvivalStep;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Two groups of wear parts beside each other: does one last longer, or do the runs not tell? */
@Service
public class Comparison {

  /** A side: a pump, or a part in a material and duty; an empty duty takes all. */
  public record SideQuestion(String pump, String role, String material, String duty) {}

  /** Both sides. */
  public record CompareQuestion(SideQuestion first, SideQuestion second) {}

  /** A side as it was found, ages in hours. */
  public record SideView(
      String title, int runs, int failures, double expected, List<SurvivalStep> steps) {}

  /**
   * What the test says.
   *
   * @param verdict not-enough, no-difference, first-shorter or first-longer
   * @param probability chance of a difference this large if both last alike
   * @param detectable ratio of failure rates that so many failures would show; 0 where none would
   */
  public record ComparisonView(
      SideView first,
      SideView second,
      LogRank.Verdict verdict,
      String say,
      String test,
      double probability,
      double detectable) {}

  private final LifeService lives;
  private final Forecasts forecasts;

  Comparison(LifeService lives, Forecasts forecasts) {
    this.lives = lives;
    this.forecasts = forecasts;
  }

  /**
   * Compares two groups by the log-rank test, in hours.
   *
   * @throws RequestProblem where a side names nothing
   */
  @Transactional(readOnly = true)
  public ComparisonView compare(CompareQuestion q) {
    LifeSnapshot shop = lives.now();
    Group first = side("first", q.first(), shop);
    Group second = side("second", q.second(), shop);
    List<Run> a = first.ages(false);
    List<Run> b = second.ages(false);
    LogRank test = LogRank.of(a, b);
    String one = title(first);
    String other = title(second);
    return new ComparisonView(
        view(one, first, a, test.expected()),
        view(other, second, b, test.failures() - test.expected()),
        test.verdict(),
        say(test, one, other),
        String.format(
            Locale.ROOT,
            "Log-rank test: %d failures of the first where %.1f were expected, chi-square %.2f,"
                + " p = %.3f.",
            Math.round(test.observed()),
            test.expected(),
            test.chiSquare(),
            test.probability()),
        test.probability(),
        Double.isFinite(test.detectable()) ? test.detectable() : 0);
  }

  private static Group side(String path, SideQuestion q, LifeSnapshot shop) {
    if (q != null && q.pump() != null && !q.pump().isBlank()) {
      return shop.groups().at(Level.PUMP, shop.standing(q.pump().toUpperCase(Locale.ROOT)).of());
    }
    if (q == null || q.role() == null || q.material() == null) {
      throw RequestProblem.invalid(path, "Name a pump, or a part and its material.");
    }
    String duty = q.duty() == null ? "" : q.duty();
    return shop.groups()
        .at(
            duty.isEmpty() ? Level.ANY_DUTY : Level.DUTY,
            new LifeGroups.GroupKey("", "", q.role(), q.material(), duty));
  }

  private String title(Group g) {
    return g.level() == Level.PUMP
        ? g.of().pump() + " with " + g.of().material()
        : g.of().material()
            + (g.of().duty().isEmpty()
                ? " in any duty"
                : " in " + Text.inSentence(forecasts.duty(g.of().duty())));
  }

  private static SideView view(String title, Group group, List<Run> runs, double expected) {
    return new SideView(
        title,
        runs.size(),
        group.failures(),
        expected,
        KaplanMeier.of(runs).stream()
            .map(s -> new SurvivalStep(s.age(), s.survival(), s.low(), s.high()))
            .toList());
  }

  private static String say(LogRank test, String one, String other) {
    String chance =
        test.probability() < 0.001
            ? "less than once in a thousand times"
            : "about " + Math.max(1, Math.round(100 * test.probability())) + " times in a hundred";
    return switch (test.verdict()) {
      case NOT_ENOUGH ->
          "Not enough runs to tell: "
              + Text.count(test.failures(), "failure")
              + " in both together, and under "
              + LogRank.FEWEST
              + " the test is not asked.";
      case NO_DIFFERENCE ->
          "No difference can be told. If both last alike, one this large comes "
              + chance
              + "; so many failures would show a rate "
              + String.format(Locale.ROOT, "%.1f", test.detectable())
              + " times as high, not a smaller one.";
      case FIRST_SHORTER -> longer(other, one, chance);
      case FIRST_LONGER -> longer(one, other, chance);
    };
  }

  private static String longer(String better, String worse, String chance) {
    return Text.sentence(better)
        + " lasts longer than "
        + worse
        + ". If both lasted alike, a difference this large would come "
        + chance
        + ".";
  }
}
