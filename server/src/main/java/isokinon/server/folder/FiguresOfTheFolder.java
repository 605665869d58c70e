package isokinon.server.folder;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.stereotype.Component;

/** What the data take and how old their last good backup is, for whoever watches the server. */
@Component
class FiguresOfTheFolder implements MeterBinder {

  private static final String BYTES = "bytes";
  private static final double MILLISECONDS = 1e3;

  private final Compaction compaction;
  private final Backups backups;

  FiguresOfTheFolder(Compaction compaction, Backups backups) {
    this.compaction = compaction;
    this.backups = backups;
  }

  @Override
  public void bindTo(MeterRegistry registry) {
    Gauge.builder("isokinon.database", () -> compaction.sizes().bytes())
        .description("Size of the database file")
        .baseUnit(BYTES)
        .register(registry);
    Gauge.builder("isokinon.disk.free", () -> compaction.sizes().free())
        .description("Room on the disk of the database file")
        .baseUnit(BYTES)
        .register(registry);
    Gauge.builder("isokinon.backup.last", this::lastBackup)
        .description("When the last backup was made that could be put back, seconds since 1970")
        .baseUnit("seconds")
        .register(registry);
  }

  /** Not a number where there is none. */
  private double lastBackup() {
    return backups.last().map(b -> b.at().toEpochMilli() / MILLISECONDS).orElse(Double.NaN);
  }
}
