package isokinon.server.work.life;

import isokinon.core.life.CompetingRisks;
import isokinon.core.life.FailureCause;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Weibull;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.renewal.Policies.Terms;
import isokinon.server.work.life.LifeView.CauseLine;
import isokinon.server.work.life.LifeView.CausesView;
import isokinon.server.work.shared.Text;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the sets of a group fail of, what each cause costs a year, and what preventing it may cost.
 */
final class CauseText {

  private CauseText() {}

  /**
   * The causes of a group; none where nobody said what its sets failed of.
   *
   * @param by what is believed of the life that one cause alone would end
   * @param renewed age at which sets are renewed today; infinite where they run until they fail
   * @param without pounds a 1 000 h where a cause is prevented, at the best way; empty where nobody
   *     knows
   */
  static CausesView of(
      GroupLife life,
      Optional<Terms> terms,
      double hoursPerYear,
      double renewed,
      Function<FailureCause, GroupPosterior> by,
      Function<FailureCause, Optional<Double>> without) {
    List<WearRun> failed = life.group().runs().stream().filter(r -> r.hours().failed()).toList();
    Map<FailureCause, List<WearRun>> of =
        failed.stream()
            .collect(
                Collectors.groupingBy(
                    WearRun::cause, () -> new EnumMap<>(FailureCause.class), Collectors.toList()));
    if (terms.isEmpty() || of.keySet().stream().allMatch(c -> c == FailureCause.UNKNOWN)) {
      return new CausesView(List.of(), "");
    }
    Map<FailureCause, GroupPosterior> lives = new EnumMap<>(FailureCause.class);
    of.keySet().forEach(c -> lives.put(c, by.apply(c)));
    Map<FailureCause, Weibull> middle = new EnumMap<>(FailureCause.class);
    lives.forEach((c, l) -> middle.put(c, middle(l, life.libraryMean())));
    Map<FailureCause, Double> rates = new CompetingRisks(middle).rates(renewed);
    double year = life.perHour() * hoursPerYear;
    List<CauseLine> lines =
        lives.entrySet().stream()
            .map(
                e ->
                    line(
                        e.getKey(),
                        of.get(e.getKey()).size(),
                        e.getValue().shape(),
                        rates.get(e.getKey()) * year,
                        terms.get().failed()))
            .sorted(Comparator.comparingDouble((CauseLine l) -> -l.perYear()))
            .toList();
    return new CausesView(lines, say(lines, of, without));
  }

  private static Weibull middle(GroupPosterior lives, double libraryMean) {
    return new Weibull(
        lives.shape().median(), lives.newPump().longer(libraryMean).scaleBand().median());
  }

  private static CauseLine line(
      FailureCause cause, int failures, Marginal shape, double aYear, double failed) {
    Optional<CounterMeasure> prevented = CounterMeasure.against(cause);
    return new CauseLine(
        cause,
        failures,
        shape.median(),
        shape.low(),
        shape.high(),
        cause.byAge(),
        aYear,
        aYear * failed,
        prevented.map(CounterMeasure::name).orElse(""),
        prevented.map(p -> p.share() * aYear * failed));
  }

  /** The costliest cause that age does not prevent, as a sentence. */
  private static String say(
      List<CauseLine> lines,
      Map<FailureCause, List<WearRun>> of,
      Function<FailureCause, Optional<Double>> without) {
    return lines.stream()
        .filter(l -> l.mayCost().isPresent())
        .findFirst()
        .map(
            l -> {
              List<String> pumps =
                  of.get(l.cause()).stream().map(WearRun::pump).distinct().toList();
              String who =
                  pumps.size() == 1
                      ? pumps.get(0) + " " + past(l.cause())
                      : Text.sentence(past(l.cause()));
              return who
                  + " "
                  + (l.failures() == 1 ? "once" : l.failures() + " times")
                  + ": about ¤"
                  + Text.plain(Math.round(l.perYear() / 10) * 10)
                  + " a year, whatever the age. "
                  + Text.sentence(l.prevented())
                  + " that costs up to ¤"
                  + Text.plain(Math.round(l.mayCost().orElseThrow() / 10) * 10)
                  + " pays within a year."
                  + without
                      .apply(l.cause())
                      .map(
                          rate ->
                              " Without it a set costs about ¤"
                                  + Text.plain(Math.round(rate))
                                  + " a 1 000 h at the best way.")
                      .orElse("");
            })
        .orElse("");
  }

  private static String past(FailureCause cause) {
    return switch (cause) {
      case RAN_DRY -> "ran dry";
      case FOREIGN_BODY -> "met a foreign body";
      case OVERPRESSURE -> "met too much pressure";
      case BUILD -> "failed of its build";
      case WORE_OUT -> "wore out";
      case ATTACKED -> "was attacked";
      case UNKNOWN -> "failed, nobody said of what,";
    };
  }
}
