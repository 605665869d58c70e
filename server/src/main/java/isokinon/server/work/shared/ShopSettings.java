package isokinon.server.work.shared;

import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.shop.SettingMapper;
import java.time.Clock;
import java.time.OffsetDateTime;
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

  private final SettingMapper store;
  private final Clock clock;
  private final Cached<String> name;
  private final Cached<Double> level;
  private final Cached<Double> labour;
  private final Cached<Double> overtime;

  public ShopSettings(SettingMapper store, DataVersions versions, Clock clock) {
    this.store = store;
    this.clock = clock;
    EnumSet<Topic> shop = EnumSet.of(Topic.SHOP);
    this.name = Cached.of(versions, shop, () -> store.text(NAME).orElse(""));
    this.labour =
        Cached.of(versions, shop, () -> store.number(LABOUR).orElse(USUAL_LABOUR_PER_HOUR));
    this.overtime = Cached.of(versions, shop, () -> store.number(OVERTIME).orElse(USUAL_OVERTIME));
    this.level = Cached.of(versions, shop, () -> store.number(LEVEL).orElse(USUAL_LEVEL));
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
