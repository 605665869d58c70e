package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.folder.Backups;
import isokinon.server.folder.Compaction;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the data take of the disk, and their backups. */
@RestController
@RequestMapping("/api/v1/storage")
@Needs(Right.LEAD)
@Tag(name = "storage", description = "The size of the database, and making it smaller")
class StorageController {

  private static final double MB = 1e6;

  /**
   * What the data take.
   *
   * @param fileMb the database file, MB
   * @param freeMb room on its disk, MB
   * @param compacted when it was compacted last since the start
   * @param savedMb what that gave back, MB
   * @param backedUp the day of the last good backup; absent where there is none
   * @param backupMb how long it is, MB
   * @param backupFault why the last one failed; empty where it did not
   */
  record StorageView(
      double fileMb,
      double freeMb,
      Optional<String> compacted,
      Optional<Double> savedMb,
      Optional<String> backedUp,
      Optional<Double> backupMb,
      String backupFault) {}

  private final Compaction compaction;
  private final Backups backups;
  private final Clock clock;

  StorageController(Compaction compaction, Backups backups, Clock clock) {
    this.compaction = compaction;
    this.backups = backups;
    this.clock = clock;
  }

  @GetMapping
  @Operation(summary = "What the data take of the disk")
  StorageView sizes() {
    Compaction.Sizes sizes = compaction.sizes();
    return new StorageView(
        sizes.bytes() / MB,
        sizes.free() / MB,
        sizes.last().map(d -> Text.day(d.at().atZone(clock.getZone()).toLocalDate())),
        sizes.last().map(d -> (d.bytesBefore() - d.bytesAfter()) / MB),
        backups.last().map(b -> Text.day(b.at().atZone(clock.getZone()).toLocalDate())),
        backups.last().map(b -> b.bytes() / MB),
        backups.fault());
  }

  @PostMapping("/backup")
  @Operation(summary = "Makes a backup now and proves it, as every night")
  StorageView backUp() {
    try {
      backups.make();
    } catch (Backups.Failed e) {
      throw RequestProblem.notNow("", e.getMessage());
    }
    return sizes();
  }

  @PostMapping("/compact")
  @Operation(summary = "Writes the database file anew without what is no longer needed")
  StorageView compact() {
    try {
      compaction.compact();
    } catch (Compaction.NotNow e) {
      throw RequestProblem.notNow("", e.getMessage());
    }
    return sizes();
  }
}
