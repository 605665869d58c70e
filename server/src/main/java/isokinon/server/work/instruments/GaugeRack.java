package isokinon.server.work.instruments;

import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** The devices the shop has, and whether their calibration holds. */
@Component
public class GaugeRack {

  /** A torque wrench that shows a reading is good to this share of its range (shop rule). */
  private static final double WRENCH_SHARE = 0.004;

  private final FindingMapper store;
  private final StoresMapper stores;
  private final Clock clock;

  GaugeRack(FindingMapper store, StoresMapper stores, Clock clock) {
    this.store = store;
    this.stores = stores;
    this.clock = clock;
  }

  /** Gauges, and the wrenches of the crib that show a reading. */
  List<GaugeRow> all() {
    List<GaugeRow> rows = new ArrayList<>(store.gauges());
    stores.wrenches().stream()
        .filter(w -> !w.clicks())
        .forEach(
            w ->
                rows.add(
                    new GaugeRow(
                        w.id(),
                        "torque-wrench",
                        "Torque wrench, " + Text.plain(w.minNm()) + " to " + Text.plain(w.maxNm()),
                        "N·m",
                        0.1,
                        w.maxNm() * WRENCH_SHARE,
                        "torque",
                        w.calibratedUntil())));
    return rows;
  }

  /**
   * A device by its id.
   *
   * @throws RequestProblem where none is called so
   */
  public GaugeRow gauge(String id) {
    return all().stream()
        .filter(g -> g.id().equals(id))
        .findFirst()
        .orElseThrow(() -> RequestProblem.notNow("gauge", "No gauge is called " + id + "."));
  }

  /** Whether its calibration has run out. */
  public boolean overdue(GaugeRow gauge) {
    return gauge.calibratedUntil().isBefore(LocalDate.now(clock));
  }
}
