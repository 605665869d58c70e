package isokinon.server.work.life;

import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Terms;
import isokinon.server.work.life.LifeView.TermsView;
import isokinon.server.work.lives.Renewals;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;

/** What a renewal, a failure and a look cost in a group, and how its sets are renewed today. */
@Service
class LifeTerms {

  private static final double YEAR = 365.25;

  /** So many sound removals tell what is done today (shop rule). */
  private static final int TELLS_TODAY = 3;

  private static final int TODAY_DAYS = 730;

  private final Renewals renewals;
  private final Clock clock;

  LifeTerms(Renewals renewals, Clock clock) {
    this.renewals = renewals;
    this.clock = clock;
  }

  TermsView terms(LifePage.LifeQuestion q, GroupLife life) {
    List<Renewals.Renewal> each =
        life.running().stream().flatMap(s -> renewals.of(s.pump()).stream()).toList();
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
        q.warning() == null ? Policies.WARNING : q.warning(),
        life.running().stream().anyMatch(s -> s.pump().harms()),
        each.stream().flatMap(r -> r.mostHours().stream()).min(Comparator.naturalOrder()),
        life.running().stream().mapToDouble(s -> s.usage().perDay() * YEAR).sum(),
        life.running().size(),
        LifeText.costs(life.running().size(), planned.isPresent(), each));
  }

  private static Optional<Double> given(Double typed, OptionalDouble known) {
    return typed != null
        ? Optional.of(typed)
        : known.isPresent() ? Optional.of(known.getAsDouble()) : Optional.empty();
  }

  /** The terms in the unit of the estimate; empty where a cost is not known. */
  static Optional<Terms> core(TermsView t, double perHour) {
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
  OptionalDouble today(GroupLife life) {
    LocalDate from = LocalDate.now(clock).minusDays(TODAY_DAYS);
    List<WearRun> lately =
        life.group().runs().stream()
            .filter(r -> r.ended().filter(e -> !e.isBefore(from)).isPresent())
            .filter(r -> !r.hours().failed())
            .toList();
    if (lately.size() >= TELLS_TODAY) {
      return lately.stream().mapToDouble(r -> life.run(r).age()).average();
    }
    return life.running().stream()
        .mapToDouble(s -> s.pump().intervalHours() * life.perHour())
        .average();
  }
}
