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

  /** What an hour of a technician costs, pounds (shop rule, until a shop can say its own). */
  public static final double LABOUR_PER_HOUR = 42;

  /** Chance that the shelf is enough over the lead time, where nobody chose one (shop rule). */
  private static final double USUAL_LEVEL = 0.95;

  private static final String NAME = "shop-name";
  private static final String LEVEL = "service-level";

  private final SettingMapper store;
  private final Clock clock;
  private final Cached<String> name;
  private final Cached<Double> level;

  ShopSettings(SettingMapper store, DataVersions versions, Clock clock) {
    this.store = store;
    this.clock = clock;
    EnumSet<Topic> shop = EnumSet.of(Topic.SHOP);
    this.name = Cached.of(versions, shop, () -> store.text(NAME).orElse(""));
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

  /** What so many minutes of a technician cost, pounds. */
  public static double labour(double minutes) {
    return minutes / 60 * LABOUR_PER_HOUR;
  }
}
