package isokinon.server.work.life.score;

import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.db.forecasts.ForecastMapper;
import isokinon.server.db.forecasts.ForecastRow;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.HistoryMapper;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.lives.Renewals;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what is forecast of each set that has a date: once when the date is set, and again where it
 * is set anew. Looked through every few hours, so that nothing that fits a set or chooses a way has
 * to think of it.
 */
@Service
public class ForecastBook {

  private static final Logger LOG = LoggerFactory.getLogger(ForecastBook.class);

  private final LifeService lives;
  private final Renewals renewals;
  private final HistoryMapper history;
  private final ForecastMapper store;
  private final Clock clock;

  ForecastBook(
      LifeService lives,
      Renewals renewals,
      HistoryMapper history,
      ForecastMapper store,
      Clock clock) {
    this.lives = lives;
    this.renewals = renewals;
    this.history = history;
    this.store = store;
    this.clock = clock;
  }

  /** A set in its place. */
  record SetKey(String pump, String role, String place, LocalDate fittedOn) {

    static SetKey of(ForecastRow row) {
      return new SetKey(row.pump(), row.role(), row.place(), row.fittedOn());
    }
  }

  @Scheduled(initialDelayString = "PT8M", fixedDelayString = "PT4H")
  void lookThrough() {
    int kept = keep();
    if (kept > 0) {
      LOG.info("forecasts kept of {} sets", kept);
    }
  }

  /** Keeps a forecast of each set whose date is new; how many. */
  @Transactional
  public int keep() {
    Map<SetKey, Double> known = new HashMap<>();
    store.all().forEach(r -> known.put(SetKey.of(r), r.dueHours()));
    Map<String, PolicyRow> ways =
        history.policies().stream().collect(Collectors.toMap(PolicyRow::pump, p -> p));
    LifeSnapshot shop = lives.now();
    int kept = 0;
    for (PumpInService s : shop.all()) {
      boolean fixed =
          Optional.ofNullable(ways.get(s.pump().tag())).filter(w -> w.way() != Way.FIXED).isEmpty();
      FittedPartRow set = s.pump().set();
      double due = s.pump().intervalHours();
      SetKey key = new SetKey(set.pump(), set.role(), set.place(), set.fittedOn());
      if (fixed && due > s.pump().age() && !Double.valueOf(due).equals(known.get(key))) {
        store.keep(forecast(shop.life(s), due));
        kept++;
      }
    }
    return kept;
  }

  private ForecastRow forecast(Life life, double due) {
    PumpRow pump = life.standing().pump();
    FittedPartRow set = pump.set();
    Optional<Double> advised =
        renewals
            .of(pump)
            .flatMap(r -> r.terms(pump.harms(), life.perHour()))
            .flatMap(
                t ->
                    Policies.of(
                            life.estimate().chosenBy(), Policies.WARNING, t, OptionalDouble.empty())
                        .fixed())
            .map(Kept::every)
            .map(age -> age / life.perHour());
    return new ForecastRow(
        set.pump(),
        set.role(),
        set.place(),
        pump.material(),
        set.fittedOn(),
        LocalDate.now(clock),
        pump.age(),
        due,
        life.ofRunning().risk(life.age(), (due - pump.age()) * life.perHour()),
        advised.orElse(null));
  }
}
