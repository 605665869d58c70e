package isokinon.server.work.lives;

import isokinon.core.renewal.Policies.Terms;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.library.PlanMinutes;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.shared.ShopSettings;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** What renewing the wearing set of a pump takes: the kit, the minutes, the money. */
@Component
public class Renewals {

  /**
   * A renewal.
   *
   * @param kit what goes in again; empty where the catalogue has none for this set
   * @param minutes at the bench
   * @param labour what those minutes cost, pounds
   * @param lookMinutes to reach the set, look at it and close up again
   * @param planned kit and labour, pounds; empty where the price is not known
   * @param stop a stop by failure beyond that: lost production, clean-up, pounds
   * @param look labour of a look, pounds
   * @param mostHours longest time in by the sheet, h
   */
  public record Renewal(
      Optional<WetKitRow> kit,
      double minutes,
      double labour,
      double lookMinutes,
      Optional<Double> planned,
      double stop,
      double look,
      Optional<Double> mostHours) {

    /** Where a failure harms people or the environment, it weighs so many times its cost (rule). */
    private static final double HARM_WEIGHT = 4;

    Optional<Double> failed() {
      return planned.map(p -> p + stop);
    }

    /**
     * A stop by failure as it weighs against work that waits, pounds.
     *
     * @param harms whether a failure harms people or the environment
     */
    public double weighedStop(boolean harms) {
      return stop * (harms ? HARM_WEIGHT : 1);
    }

    /** Kit and labour, pounds; where nobody knows the price of the kit, the labour. */
    public double plannedOrLabour() {
      return planned.orElse(labour);
    }

    /**
     * The costs in the unit of a life; empty where the price is not known.
     *
     * @param perHour units of the life in a running hour
     */
    public Optional<Terms> terms(boolean harms, double perHour) {
      return planned.map(
          p ->
              new Terms(
                  p,
                  p + stop,
                  OptionalDouble.of(look),
                  harms,
                  mostHours
                      .map(h -> OptionalDouble.of(h * perHour))
                      .orElse(OptionalDouble.empty())));
    }
  }

  private final Sheets sheets;
  private final FittedWetEnds wetEnds;
  private final Catalogue catalogue;
  private final PlanMinutes plans;

  private final ShopSettings settings;

  Renewals(
      Sheets sheets,
      FittedWetEnds wetEnds,
      Catalogue catalogue,
      PlanMinutes plans,
      ShopSettings settings) {
    this.settings = settings;
    this.sheets = sheets;
    this.wetEnds = wetEnds;
    this.catalogue = catalogue;
    this.plans = plans;
  }

  /** What renewing a pump's set takes; empty where the pump has no sheet. */
  public Optional<Renewal> of(PumpRow pump) {
    return pump.sheet().flatMap(s -> sheets.find(s, pump.madeBy())).map(s -> of(pump, s));
  }

  private Renewal of(PumpRow pump, Sheet sheet) {
    WetEndRow wetEnd = wetEnds.of(pump.tag());
    Optional<WetKitRow> kit = catalogue.renewing(sheet.id(), pump.material(), wetEnd.hardware());
    List<String> wearing =
        sheet.parts().stream()
            .filter(p -> p.role().equals(Optional.of(pump.role())))
            .map(Part::id)
            .toList();
    List<String> renewed =
        kit.flatMap(k -> sheet.kit(k.kit()))
            .map(k -> List.copyOf(k.parts().keySet()))
            .orElse(wearing);
    double minutes = plans.renew(sheet, pump.madeBy(), renewed);
    double lookMinutes = plans.look(sheet, pump.madeBy(), wearing);
    return new Renewal(
        kit,
        minutes,
        settings.labour(minutes),
        lookMinutes,
        kit.map(k -> k.price() + settings.labour(minutes)),
        wetEnd.stopCost(),
        Math.max(1, settings.labour(lookMinutes)),
        sheet.parts().stream()
            .filter(p -> wearing.contains(p.id()))
            .flatMap(p -> p.mostHours().stream())
            .min(Comparator.naturalOrder()));
  }
}
