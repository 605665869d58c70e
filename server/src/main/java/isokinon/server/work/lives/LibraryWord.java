package isokinon.server.work.lives;

import isokinon.core.life.history.DutyHistory;
import isokinon.core.material.Knowledge;
import isokinon.core.material.MaterialLibrary.BaseLife;
import isokinon.core.wetend.Duty;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.LifeSnapshot.Prior;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.PastDuties;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the library says of the life of a part in a duty. */
@Component
public class LibraryWord {

  /** Where the library knows no base life, a mean life is so many intervals (shop rule). */
  private static final double MEAN_OVER_INTERVAL = 1.5;

  /**
   * Share of its base life that a part has where the library rules it out or has no row (shop
   * rule).
   */
  private static final double RULED_OUT = 0.3;

  /** Weibull shape of wear by abrasion, where the library knows none. */
  private static final double ABRASION = 2.0;

  /** A mean life that stands in where neither library nor interval knows one, h (shop rule). */
  private static final double UNKNOWN_LIFE = 4000;

  /**
   * What a duty leaves a part of the library's base life.
   *
   * @param factor share of it
   * @param row how well that is known
   */
  record Leaves(double factor, Knowledge row) {}

  private final ShopLibrary library;
  private final Clock clock;

  LibraryWord(ShopLibrary library, Clock clock) {
    this.library = library;
    this.clock = clock;
  }

  /** Weibull shape of the failure mode of a part, by the library. */
  public double shape(String role, String material) {
    return library.materials().baseLife(role, material).map(b -> b.shape()).orElse(ABRASION);
  }

  /** The library's mean life of a part before any duty takes from it, h. */
  public double baseHours(String role, String material) {
    return library.materials().baseLife(role, material).map(b -> b.hours()).orElse(UNKNOWN_LIFE);
  }

  /** What is expected of the set of a pump before any run. */
  Prior prior(PumpRow pump, List<ExposureRow> fluids, WetEndRow wetEnd) {
    double shape = shape(pump.role(), pump.material());
    Optional<BaseLife> base = library.materials().baseLife(pump.role(), pump.material());
    if (base.isEmpty()) {
      return new Prior(
          pump.intervalHours() * MEAN_OVER_INTERVAL, false, shape, Knowledge.THIN.spread());
    }
    double hours = base.get().hours();
    // What an interval was set to must not move what is believed: it is set by what is believed.
    return leaves(pump, pump.role(), pump.material(), fluids, wetEnd)
        .map(l -> new Prior(hours * l.factor(), true, shape, l.row().spread()))
        .orElseGet(() -> new Prior(hours * RULED_OUT, false, shape, Knowledge.THIN.spread()));
  }

  /** What the set of a pump lived in its earlier duties, by what it lives in the one of now. */
  Optional<DutyHistory> earlier(
      PumpRow pump, List<ExposureRow> fluids, WetEndRow wetEnd, List<PastDuties.Past> past) {
    if (past.isEmpty()) {
      return Optional.empty();
    }
    double now = leavesOrRuledOut(pump, pump.role(), pump.material(), fluids, wetEnd).factor();
    return Optional.of(
        new DutyHistory(
            past.stream()
                .map(
                    p ->
                        new DutyHistory.Stretch(
                            p.until(),
                            orRuledOut(leaves(p.duty(), pump.role(), pump.material())).factor()
                                / now))
                .toList(),
            LocalDate.now(clock)));
  }

  /** What a duty leaves a part; a share of it where the library rules it out or has no row. */
  Leaves leavesOrRuledOut(
      PumpRow pump, String role, String material, List<ExposureRow> fluids, WetEndRow wetEnd) {
    return orRuledOut(leaves(pump, role, material, fluids, wetEnd));
  }

  private static Leaves orRuledOut(Optional<Leaves> leaves) {
    return leaves.orElse(new Leaves(RULED_OUT, Knowledge.THIN));
  }

  /** What a duty leaves a part; empty where the library rules it out or has no row. */
  Optional<Leaves> leaves(
      PumpRow pump, String role, String material, List<ExposureRow> fluids, WetEndRow wetEnd) {
    if (fluids.isEmpty()) {
      return Optional.of(new Leaves(1, Knowledge.USUAL));
    }
    try {
      return leaves(DutyForm.of(pump, fluids, wetEnd, library).duty(library), role, material);
    } catch (RequestProblem e) {
      // A duty that was never written down right tells nothing of the life in it.
      return Optional.empty();
    }
  }

  private Optional<Leaves> leaves(Duty duty, String role, String material) {
    return library
        .materials()
        .material(material)
        .map(m -> library.rater().rate(duty, m, role))
        .flatMap(r -> r.factor().map(f -> new Leaves(f, r.known())));
  }
}
