package isokinon.server.work.lives;

import isokinon.core.renewal.Policies.Way;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.FailureModeRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the wear parts of pumps are kept: what was chosen, by whom, and why. */
@Service
public class PolicyService {

  private static final double MOST_HOURS = 1e6;
  private static final int MOST_BECAUSE = 400;

  /** A way chosen for pumps. */
  public record PolicyRequest(List<String> pumps, Way way, Double everyHours, String because) {}

  /** The shape of the failure mode chosen for a group. */
  public record ModeRequest(String role, String material, String duty, Double shape) {}

  /** What a pump is kept by now. */
  public record KeptView(
      String pump, Way way, Optional<Double> everyHours, String because, String by) {}

  private final PumpMapper pumps;
  private final HistoryMapper history;
  private final Renewals renewals;
  private final Clock clock;

  PolicyService(PumpMapper pumps, HistoryMapper history, Renewals renewals, Clock clock) {
    this.pumps = pumps;
    this.history = history;
    this.renewals = renewals;
    this.clock = clock;
  }

  /**
   * Chooses a way for pumps, all of them or none.
   *
   * @throws RequestProblem where a way may not be chosen for one of them
   */
  @Transactional
  public List<KeptView> choose(PolicyRequest q, String who) {
    if (q.pumps() == null || q.pumps().isEmpty()) {
      throw RequestProblem.invalid("pumps", "Say for which pumps.");
    }
    Way way = q.way();
    if (way == null) {
      throw RequestProblem.invalid(
          "way", "A part is kept at a fixed age, until-it-fails or by a look.");
    }
    Double every = way == Way.UNTIL_IT_FAILS ? null : q.everyHours();
    if (way != Way.UNTIL_IT_FAILS && (every == null || !(every >= 1 && every <= MOST_HOURS))) {
      throw RequestProblem.invalid("everyHours", "Give the hours, 1 to a million.");
    }
    List<Fault> faults = new ArrayList<>();
    List<PumpRow> each = new ArrayList<>();
    for (String tag : q.pumps()) {
      PumpRow pump =
          pumps
              .lock(tag)
              .orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
      each.add(pump);
      barred(pump, way, every).ifPresent(f -> faults.add(new Fault(tag, f)));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.notNow(faults);
    }
    String because = Text.clipped(Text.typed(q.because()), MOST_BECAUSE);
    for (PumpRow pump : each) {
      history.choose(
          new PolicyRow(pump.tag(), way, every, because, who, OffsetDateTime.now(clock)));
      if (way == Way.FIXED) {
        pumps.interval(pump.tag(), every);
      }
    }
    return each.stream()
        .map(p -> new KeptView(p.tag(), way, Optional.ofNullable(every), because, who))
        .toList();
  }

  /** Renews a pump's set at a fixed age from now on, as it was decided at the bench. */
  public void shorten(PumpRow pump, double hours, String because, String who) {
    history.choose(
        new PolicyRow(
            pump.tag(),
            Way.FIXED,
            hours,
            Text.clipped(because, MOST_BECAUSE),
            who,
            OffsetDateTime.now(clock)));
    pumps.interval(pump.tag(), hours);
  }

  private Optional<String> barred(PumpRow pump, Way way, Double every) {
    if (way == Way.UNTIL_IT_FAILS && pump.harms()) {
      return Optional.of(
          "A failure of " + pump.tag() + " harms people or the place: it is never run to failure.");
    }
    return renewals
        .of(pump)
        .flatMap(Renewals.Renewal::mostHours)
        .filter(most -> every == null || every > most)
        .map(
            most ->
                "The sheet of "
                    + pump.tag()
                    + " renews it at "
                    + Text.plain(most)
                    + " h at the latest.");
  }

  /** Chooses the shape of a group's failure mode; every forecast of the group goes by it. */
  @Transactional
  public void chooseMode(ModeRequest q, String who) {
    if (q.role() == null || q.material() == null || q.duty() == null) {
      throw RequestProblem.invalid("role", "Say of which part, material and duty.");
    }
    if (q.shape() == null || !(q.shape() >= 0.6 && q.shape() <= 10)) {
      throw RequestProblem.invalid("shape", "The shape of a failure mode lies between 0.6 and 10.");
    }
    history.chooseMode(
        new FailureModeRow(q.role(), q.material(), q.duty(), q.shape()),
        who,
        OffsetDateTime.now(clock));
  }
}
