package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.People;
import isokinon.server.folder.Compaction;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the data take of the disk. */
@RestController
@RequestMapping("/api/v1/storage")
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
   */
  record StorageView(
      double fileMb, double freeMb, Optional<String> compacted, Optional<Double> savedMb) {}

  private final Compaction compaction;
  private final People people;
  private final Clock clock;

  StorageController(Compaction compaction, People people, Clock clock) {
    this.compaction = compaction;
    this.people = people;
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
        sizes.last().map(d -> (d.bytesBefore() - d.bytesAfter()) / MB));
  }

  @PostMapping("/compact")
  @Operation(summary = "Writes the database file anew without what is no longer needed; leads only")
  StorageView compact(@RequestParam String who) {
    if (!people.leads(who)) {
      throw RequestProblem.notNow("who", "A lead compacts the database.");
    }
    try {
      compaction.compact();
    } catch (Compaction.NotNow e) {
      throw RequestProblem.notNow("", e.getMessage());
    }
    return sizes();
  }
}
