package isokinon.server.work.shared;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.function.Supplier;

/** The clock of the machine, read in the time zone of the shop. */
public final class ShopClock extends Clock {

  private final Clock machine;
  private volatile Supplier<ZoneId> zone;

  /** Reads {@code machine}, in its zone until a shop has said its own. */
  public ShopClock(Clock machine) {
    this.machine = machine;
    this.zone = machine::getZone;
  }

  /** From now on its zone is what this says. */
  void follows(Supplier<ZoneId> shop) {
    zone = shop;
  }

  @Override
  public ZoneId getZone() {
    return zone.get();
  }

  @Override
  public Clock withZone(ZoneId other) {
    return machine.withZone(other);
  }

  @Override
  public Instant instant() {
    return machine.instant();
  }
}
