package isokinon.server.work.setup;

import isokinon.core.unit.DayOrder;
import isokinon.core.unit.ShopUnits;
import isokinon.core.unit.ShownUnit;
import isokinon.core.unit.ShownUnit.Quantity;
import isokinon.core.value.Fault;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopCurrency;
import isokinon.server.work.shared.ShopRules;
import isokinon.server.work.shared.ShopSettings;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a shop says of itself as a whole. What is left out of what it is shown in stays as it is.
 *
 * @param name what it is called
 * @param labourPerHour what an hour at the bench costs, in its currency
 * @param overtimePerHour what an hour outside the usual ones costs, in its currency; as much as a
 *     usual one where it is left out
 * @param currency three letters of ISO 4217
 * @param zone by the clock of which place it lives, as Europe/London
 * @param watchFromPct chance of failing within 30 days from which a pump is to be watched, percent
 * @param renewFromPct the same from which it is to be renewed, percent
 * @param worthAYear what a habit must cost a year to be told, in its currency
 * @param dayOrder in which order it writes a day
 * @param torque in which unit bolts are drawn down
 * @param temperature in which unit heat is read
 * @param pressure in which unit pressure is read
 * @param volume in which unit liquids are measured out
 */
public record ShopForm(
    @Size(max = 60) String name,
    Double labourPerHour,
    Double overtimePerHour,
    @Size(max = 3) String currency,
    @Size(max = 60) String zone,
    Double watchFromPct,
    Double renewFromPct,
    Double worthAYear,
    DayOrder dayOrder,
    ShownUnit torque,
    ShownUnit temperature,
    ShownUnit pressure,
    ShownUnit volume) {

  private static final double MOST = 10_000;
  private static final double MOST_WORTH = 1e6;

  /**
   * Keeps it.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  void into(ShopSettings settings, String who) {
    List<Fault> faults = new ArrayList<>();
    if (name == null || name.isBlank()) {
      faults.add(new Fault("name", "Say what the shop is called."));
    }
    if (labourPerHour == null || !(labourPerHour > 0 && labourPerHour <= MOST)) {
      faults.add(new Fault("labourPerHour", "An hour at the bench costs more than nothing."));
    } else if (overtimePerHour != null
        && !(overtimePerHour >= labourPerHour && overtimePerHour <= MOST)) {
      faults.add(
          new Fault("overtimePerHour", "An hour after hours costs no less than a usual one."));
    }
    Optional<ShopCurrency> reckonsIn =
        currency == null ? Optional.of(settings.currency()) : ShopCurrency.of(currency);
    if (reckonsIn.isEmpty()) {
      faults.add(
          new Fault("currency", "No currency has these letters; GBP, EUR and USD are some."));
    }
    Optional<ZoneId> livesBy = zone == null ? Optional.of(settings.zone()) : zoneOf(zone);
    if (livesBy.isEmpty()) {
      faults.add(new Fault("zone", "No clock is known by this; Europe/London is one."));
    }
    ShopRules rules = rules(settings.rules(), faults);
    ShopUnits had = settings.units();
    ShownUnit[] shown = {
      kept("torque", Quantity.TORQUE, torque, had.torque(), faults),
      kept("temperature", Quantity.TEMPERATURE, temperature, had.temperature(), faults),
      kept("pressure", Quantity.PRESSURE, pressure, had.pressure(), faults),
      kept("volume", Quantity.VOLUME, volume, had.volume(), faults)
    };
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    settings.name(name.strip(), who);
    double overtime = overtimePerHour == null ? labourPerHour : overtimePerHour;
    settings.labour(labourPerHour, overtime / labourPerHour - 1, who);
    settings.rules(rules, who);
    settings.currency(reckonsIn.orElseThrow(), who);
    settings.zone(livesBy.orElseThrow(), who);
    settings.units(new ShopUnits(shown[0], shown[1], shown[2], shown[3]), who);
    settings.dayOrder(dayOrder == null ? settings.dayOrder() : dayOrder, who);
  }

  /** From when on it wants to be told; what is left out stays. */
  private ShopRules rules(ShopRules had, List<Fault> faults) {
    double watch = watchFromPct == null ? had.watchFrom() : watchFromPct / 100;
    double renew = renewFromPct == null ? had.renewFrom() : renewFromPct / 100;
    double worth = worthAYear == null ? had.worthAYear() : worthAYear;
    if (!(watch > 0 && watch < 1)) {
      faults.add(new Fault("watchFromPct", "A chance to watch from is over 0 and under 100 %."));
    } else if (!(renew >= watch && renew < 1)) {
      faults.add(
          new Fault(
              "renewFromPct",
              "A chance to renew from is not under that to watch from, nor 100 %."));
    }
    if (!(worth >= 0 && worth <= MOST_WORTH)) {
      faults.add(new Fault("worthAYear", "What a habit costs a year is 0 to 1\u2009000\u2009000."));
    }
    return new ShopRules(watch, renew, worth);
  }

  private static Optional<ZoneId> zoneOf(String name) {
    try {
      return Optional.of(ZoneId.of(name));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  private static ShownUnit kept(
      String path, Quantity quantity, ShownUnit asked, ShownUnit had, List<Fault> faults) {
    if (asked != null && asked.quantity() != quantity) {
      faults.add(new Fault(path, asked.word() + " is no unit of " + quantity.code() + "."));
    }
    return asked == null ? had : asked;
  }
}
