package isokinon.server.work.shared;

import isokinon.core.unit.DayOrder;
import isokinon.core.unit.ShopUnits;
import isokinon.core.unit.ShownUnit;
import isokinon.core.value.Code;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.shop.SettingMapper;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.EnumSet;
import org.springframework.stereotype.Component;

/** What a shop says of itself once, for everything that is worked out. */
@Component
public class ShopSettings {

  /** What an hour of a technician costs where the shop has not said, in its currency. */
  public static final double USUAL_LABOUR_PER_HOUR = 42;

  /** An hour outside the usual ones costs so many hours more where the shop has not said. */
  public static final double USUAL_OVERTIME = 0.5;

  /** Chance that the shelf is enough over the lead time, where nobody chose one (shop rule). */
  private static final double USUAL_LEVEL = 0.95;

  private static final String NAME = "shop-name";
  private static final String LEVEL = "service-level";
  private static final String LABOUR = "labour-per-hour";
  private static final String OVERTIME = "overtime";
  private static final String CURRENCY = "currency";
  private static final String ZONE = "time-zone";
  private static final String DAYS = "day-order";
  private static final String WATCH_FROM = "watch-from";
  private static final String RENEW_FROM = "renew-from";
  private static final String WORTH = "worth-a-year";

  private final SettingMapper store;
  private final Clock clock;
  private final Cached<String> name;
  private final Cached<Double> level;
  private final Cached<Double> labour;
  private final Cached<Double> overtime;
  private final Cached<ShopCurrency> currency;
  private final Cached<ZoneId> zone;
  private final Cached<ShopUnits> units;
  private final Cached<DayOrder> days;
  private final Cached<ShopRules> rules;

  public ShopSettings(SettingMapper store, DataVersions versions, Clock clock) {
    this.store = store;
    this.clock = clock;
    EnumSet<Topic> shop = EnumSet.of(Topic.SHOP);
    this.name = Cached.of(versions, shop, () -> store.text(NAME).orElse(""));
    this.labour =
        Cached.of(versions, shop, () -> store.number(LABOUR).orElse(USUAL_LABOUR_PER_HOUR));
    this.overtime = Cached.of(versions, shop, () -> store.number(OVERTIME).orElse(USUAL_OVERTIME));
    this.level = Cached.of(versions, shop, () -> store.number(LEVEL).orElse(USUAL_LEVEL));
    this.currency =
        Cached.of(
            versions,
            shop,
            () ->
                store
                    .text(CURRENCY)
                    .flatMap(ShopCurrency::of)
                    .orElseGet(ShopCurrency::ofTheMachine));
    this.zone =
        Cached.of(
            versions, shop, () -> store.text(ZONE).map(ZoneId::of).orElse(ZoneId.systemDefault()));
    this.units = Cached.of(versions, shop, this::readUnits);
    this.days =
        Cached.of(
            versions,
            shop,
            () ->
                store
                    .text(DAYS)
                    .flatMap(word -> Code.parse(DayOrder.class, word))
                    .orElse(DayOrder.DAY_FIRST));
    this.rules = Cached.of(versions, shop, this::readRules);
    if (clock instanceof ShopClock shops) {
      shops.follows(zone::get);
    }
  }

  private ShopUnits readUnits() {
    ShopUnits usual = ShopUnits.OF_RECORDS;
    return new ShopUnits(
        unit(usual.torque()),
        unit(usual.temperature()),
        unit(usual.pressure()),
        unit(usual.volume()));
  }

  private ShopRules readRules() {
    ShopRules usual = ShopRules.USUAL;
    return new ShopRules(
        store.number(WATCH_FROM).orElse(usual.watchFrom()),
        store.number(RENEW_FROM).orElse(usual.renewFrom()),
        store.number(WORTH).orElse(usual.worthAYear()));
  }

  private ShownUnit unit(ShownUnit usual) {
    return store
        .text(settingOf(usual.quantity()))
        .flatMap(word -> Code.parse(ShownUnit.class, word))
        .filter(unit -> unit.quantity() == usual.quantity())
        .orElse(usual);
  }

  private static String settingOf(ShownUnit.Quantity quantity) {
    return "unit-of-" + quantity.code();
  }

  /** In which currency the shop reckons. */
  public ShopCurrency currency() {
    return currency.get();
  }

  /** Says in which currency; amounts that stand are taken to be in it. */
  public void currency(ShopCurrency now, String who) {
    store.setText(CURRENCY, now.code(), who, OffsetDateTime.now(clock));
  }

  /** By the clock of which place the shop lives. */
  public ZoneId zone() {
    return zone.get();
  }

  /** Says by the clock of which place. */
  public void zone(ZoneId now, String who) {
    store.setText(ZONE, now.getId(), who, OffsetDateTime.now(clock));
  }

  /** In which units the shop is shown what it has. */
  public ShopUnits units() {
    return units.get();
  }

  /** Says in which units. */
  public void units(ShopUnits now, String who) {
    now.all()
        .forEach(
            unit ->
                store.setText(
                    settingOf(unit.quantity()), unit.code(), who, OffsetDateTime.now(clock)));
  }

  /** In which order the shop writes a day. */
  public DayOrder dayOrder() {
    return days.get();
  }

  /** Says in which order. */
  public void dayOrder(DayOrder now, String who) {
    store.setText(DAYS, now.code(), who, OffsetDateTime.now(clock));
  }

  /** From when on the shop wants to be told. */
  public ShopRules rules() {
    return rules.get();
  }

  /** Says from when on. */
  public void rules(ShopRules now, String who) {
    OffsetDateTime at = OffsetDateTime.now(clock);
    store.setNumber(WATCH_FROM, now.watchFrom(), who, at);
    store.setNumber(RENEW_FROM, now.renewFrom(), who, at);
    store.setNumber(WORTH, now.worthAYear(), who, at);
  }

  /** What the shop is called; empty where nobody said. */
  public String name() {
    return name.get();
  }

  /** Says what the shop is called. */
  public void name(String newName, String who) {
    store.setText(NAME, newName, who, OffsetDateTime.now(clock));
  }

  /** Chance that the shelf is enough over the lead time of an order, 0 to 1. */
  public double serviceLevel() {
    return level.get();
  }

  /** Chooses that chance. */
  public void serviceLevel(double newLevel, String who) {
    store.setNumber(LEVEL, newLevel, who, OffsetDateTime.now(clock));
  }

  /** What an hour of a technician costs, in the shop's currency. */
  public double labourPerHour() {
    return labour.get();
  }

  /** What an hour outside the usual ones costs more, as a part of an hour. */
  public double overtime() {
    return overtime.get();
  }

  /** Says what an hour costs, and what one outside the usual hours costs more. */
  public void labour(double perHour, double moreOvertime, String who) {
    store.setNumber(LABOUR, perHour, who, OffsetDateTime.now(clock));
    store.setNumber(OVERTIME, moreOvertime, who, OffsetDateTime.now(clock));
  }

  /** What so many minutes of a technician cost, in the shop's currency. */
  public double labour(double minutes) {
    return minutes / 60 * labourPerHour();
  }
}
