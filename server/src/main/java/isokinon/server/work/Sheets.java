package isokinon.server.work;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.SheetReader;
import isokinon.core.sheet.SheetReading;
import isokinon.server.store.SheetMapper;
import isokinon.server.store.SheetRow;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's sheets: stored as written, every revision kept, read once each. */
@Service
public class Sheets {

  /** A sheet in the list of the library. */
  public record Listed(
      String id, String title, String family, int revision, int parts, int steps) {}

  private final SheetMapper store;
  private final Clock clock;
  private final Map<String, Sheet> read = new ConcurrentHashMap<>();

  Sheets(SheetMapper store, Clock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Stores the shipped sheets where the shop does not have that revision or a newer one. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(1)
  public void storeShipped() throws IOException {
    var resources =
        new PathMatchingResourcePatternResolver().getResources("classpath:library/sheets/*.yaml");
    for (var resource : resources) {
      String source = resource.getContentAsString(StandardCharsets.UTF_8);
      Sheet sheet = SheetReader.forLibrary().read(source).orThrow();
      int have = store.newestOf(sheet.id()).map(SheetRow::revision).orElse(0);
      if (have < sheet.revision()) {
        store.add(new SheetRow(sheet.id(), sheet.revision(), source, OffsetDateTime.now(clock)));
      }
    }
  }

  /** The newest revision of every sheet. */
  public List<Listed> all() {
    return store.newest().stream()
        .map(this::parsed)
        .map(
            s ->
                new Listed(
                    s.id(),
                    s.title(),
                    s.family().code(),
                    s.revision(),
                    s.parts().size(),
                    s.steps().size()))
        .toList();
  }

  /** The newest revision of a sheet. */
  public Optional<Sheet> find(String id) {
    return store.newestOf(id).map(this::parsed);
  }

  /** The newest revision of a sheet, as it was written. */
  public Optional<String> source(String id) {
    return store.newestOf(id).map(SheetRow::source);
  }

  /** A sheet at the revision a rebuild began with. */
  public Sheet at(String id, int revision) {
    Sheet known = read.get(id + "@" + revision);
    return known != null
        ? known
        : store
            .at(id, revision)
            .map(this::parsed)
            .orElseThrow(
                () -> Refused.missing("No sheet " + id + " at revision " + revision + "."));
  }

  /**
   * Stores a sheet as its next revision.
   *
   * @throws Refused with every fault, each with path and line; nothing is stored then
   */
  @Transactional
  public Sheet store(String source) {
    SheetReading reading = SheetReader.forLibrary().read(source);
    if (reading.sheet().isEmpty()) {
      throw new Refused(
          400,
          reading.faults().stream()
              .map(f -> new Refused.Fault(f.path(), f.message(), f.line()))
              .toList());
    }
    Sheet sheet = reading.sheet().get();
    int have = store.newestOf(sheet.id()).map(SheetRow::revision).orElse(0);
    if (sheet.revision() <= have) {
      throw Refused.of(
          422,
          "revision",
          "Revision "
              + have
              + " of "
              + sheet.id()
              + " is stored already; give the changed sheet revision "
              + (have + 1)
              + ".");
    }
    store.add(new SheetRow(sheet.id(), sheet.revision(), source, OffsetDateTime.now(clock)));
    return sheet;
  }

  private Sheet parsed(SheetRow row) {
    return read.computeIfAbsent(
        row.id() + "@" + row.revision(),
        k -> SheetReader.forLibrary().read(row.source()).orThrow());
  }
}
