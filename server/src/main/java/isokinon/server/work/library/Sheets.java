package isokinon.server.work.library;

import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.sheet.reading.SheetReading;
import isokinon.core.value.Fault;
import isokinon.core.value.Source;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.shop.SheetMapper;
import isokinon.server.db.shop.SheetRow;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.shared.Cached;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's sheets: stored as written, every revision kept, read once each. */
@Service
public class Sheets {

  /**
   * A sheet in the list of the library.
   *
   * @param values joints, limits and tests that say a value
   * @param fromManual how many of them are the maker's
   */
  public record Listed(
      String id,
      String title,
      Family family,
      int revision,
      int parts,
      int steps,
      int values,
      int fromManual) {}

  private static final int MOST_FILES = 200;

  /** So long the sheets of one zip are read; the rest of it is told as not looked at. */
  private static final Duration MOST_TIME = Duration.ofSeconds(20);

  private final SheetMapper store;
  private final PumpMapper pumps;
  private final Clock clock;
  private final CachedByKey<SheetKey, Sheet> read;
  private final CachedByKey<MadeKey, Sheet> made;
  private final Cached<Map<String, Sheet>> newest;

  /** A sheet at a revision. */
  private record SheetKey(String id, int revision) {}

  /** A sheet at a revision, as a pump is made by ways of its variants. */
  private record MadeKey(SheetKey sheet, List<String> ways) {}

  Sheets(SheetMapper store, PumpMapper pumps, DataVersions versions, Clock clock) {
    this.store = store;
    this.pumps = pumps;
    this.clock = clock;
    this.read = new CachedByKey<>(versions, EnumSet.of(Topic.SHEETS));
    this.made = new CachedByKey<>(versions, EnumSet.of(Topic.SHEETS));
    this.newest = Cached.of(versions, EnumSet.of(Topic.SHEETS), this::readNewest);
  }

  private Map<String, Sheet> readNewest() {
    Map<String, Sheet> byId = new LinkedHashMap<>();
    store.newest().forEach(row -> byId.put(row.id(), parsed(row)));
    return byId;
  }

  /** Stores the shipped sheets where the shop does not have that revision or a newer one. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(1)
  public void storeShipped() {
    Set<String> there = store.newest().stream().map(SheetRow::source).collect(Collectors.toSet());
    ShippedLibrary.sheets()
        .forEach(
            (source, sheet) -> {
              int have =
                  there.contains(source)
                      ? sheet.revision()
                      : store.newestOf(sheet.id()).map(SheetRow::revision).orElse(0);
              if (have < sheet.revision()) {
                store.add(
                    new SheetRow(sheet.id(), sheet.revision(), source, OffsetDateTime.now(clock)));
              }
            });
  }

  /** The newest revision of every sheet. */
  public List<Listed> all() {
    return newest().stream()
        .map(
            s ->
                new Listed(
                    s.id(),
                    s.title(),
                    s.family(),
                    s.revision(),
                    s.parts().size(),
                    s.steps().size(),
                    Arrays.stream(Source.Kind.values()).mapToInt(s::says).sum(),
                    s.says(Source.Kind.MANUAL)))
        .toList();
  }

  /** The same, whole. */
  public List<Sheet> newest() {
    return List.copyOf(newest.get().values());
  }

  /** The newest revision of a sheet. */
  public Optional<Sheet> find(String id) {
    return Optional.ofNullable(newest.get().get(id));
  }

  /** The newest revision of a sheet, as a pump is made by these ways of its variants. */
  public Optional<Sheet> find(String id, List<String> ways) {
    return find(id)
        .map(
            sheet ->
                made.get(
                    new MadeKey(new SheetKey(id, sheet.revision()), ways), k -> sheet.by(ways)));
  }

  /** The newest revision of a sheet, as it was written. */
  public Optional<String> source(String id) {
    return store.newestOf(id).map(SheetRow::source);
  }

  /** A sheet at the revision a rebuild began with. */
  public Sheet at(String id, int revision) {
    return read.get(
        new SheetKey(id, revision),
        key ->
            store
                .at(id, revision)
                .map(Sheets::parse)
                .orElseThrow(
                    () ->
                        RequestProblem.missing(
                            "No sheet " + id + " at revision " + revision + ".")));
  }

  /**
   * What a sheet that is being written comes to: its faults, or its drawing and its plans.
   *
   * @param faults every fault with path and line; the rest is empty where there is one
   * @param rails the drawing, everything in place
   * @param plans what renewing everything and each kit takes
   */
  public record Draft(
      List<Fault> faults,
      String id,
      int revision,
      int stored,
      List<Rail> rails,
      List<DraftPlan> plans) {}

  /** A plan on a sheet that is being written. */
  public record DraftPlan(
      String title,
      double minutes,
      int poseChanges,
      int toolChanges,
      boolean optimal,
      int mostPosesOff,
      int mostToolsOff,
      List<String> strip,
      List<String> build,
      List<String> renew) {}

  /** A stored revision of a sheet. */
  public record Revision(int revision, String storedAt) {}

  /** Reads a sheet that is being written; nothing is stored. */
  public Draft draft(String source) {
    SheetReading reading = SheetReader.forLibrary().read(source);
    if (reading.sheet().isEmpty()) {
      return new Draft(reading.faults(), "", 0, 0, List.of(), List.of());
    }
    Sheet sheet = reading.sheet().get();
    Sheet followed = sheet.by(List.of());
    List<DraftPlan> plans = new ArrayList<>();
    plans.add(plan(followed, "Renew everything", comesOff(followed)));
    for (Sheet.Kit kit : followed.kits()) {
      List<String> parts =
          kit.parts().keySet().stream().filter(comesOff(followed)::contains).toList();
      plans.add(plan(followed, kit.title(), parts));
    }
    return new Draft(
        List.of(),
        sheet.id(),
        sheet.revision(),
        store.newestOf(sheet.id()).map(SheetRow::revision).orElse(0),
        RailViewer.rails(Rebuild.replay(sheet, new Fitted("", ""), List.of())),
        plans);
  }

  private static List<String> comesOff(Sheet sheet) {
    Set<String> off = new HashSet<>();
    sheet.steps().forEach(s -> off.addAll(s.opens()));
    return sheet.parts().stream().map(Part::id).filter(off::contains).toList();
  }

  private static DraftPlan plan(Sheet sheet, String title, List<String> renew) {
    Plan plan = new Planner().plan(sheet, PlanRequest.of(renew, List.of()));
    return new DraftPlan(
        title,
        plan.handsMinutes(),
        plan.poseChanges() + plan.buildPoseChanges(),
        plan.toolChanges() + plan.buildToolChanges(),
        plan.optimal(),
        plan.mostPosesOff(),
        plan.mostToolsOff(),
        plan.strip().stream().flatMap(s -> sheet.step(s).stream()).map(Step::strip).toList(),
        plan.build().stream().map(s -> sheet.stepSentence(s)).toList(),
        plan.renew().stream().map(r -> r.count() + " " + sheet.partName(r.part())).toList());
  }

  /** Every stored revision of a sheet, newest first. */
  public List<Revision> revisions(String id) {
    return store.revisionsOf(id).stream()
        .map(r -> new Revision(r.revision(), r.storedAt().toString()))
        .toList();
  }

  /** A revision of a sheet, as it was written. */
  public Optional<String> source(String id, int revision) {
    return store.at(id, revision).map(SheetRow::source);
  }

  /** The newest revision of every sheet, as a zip of YAML files. */
  public byte[] zip() {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (SheetRow row : store.newest()) {
        zip.putNextEntry(new ZipEntry(row.id() + ".yaml"));
        zip.write(row.source().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  /** What became of one file of a zip. */
  public record Imported(String file, String id, int revision, List<Fault> faults) {}

  /**
   * Stores every sheet of a zip that is sound and newer than what is there; tells of the others
   * what is wrong with them.
   *
   * @throws RequestProblem where it is no zip, or unpacks to more than is read
   */
  public List<Imported> importZip(byte[] bytes) {
    List<Imported> imported = new ArrayList<>();
    long until = clock.millis() + MOST_TIME.toMillis();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      int files = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.isDirectory()) {
          continue;
        }
        if (++files > MOST_FILES) {
          throw RequestProblem.notNow("zip", "More than " + MOST_FILES + " files in one zip.");
        }
        byte[] text = zip.readNBytes(SheetReader.MOST_CHARACTERS + 1);
        imported.add(imported(entry.getName(), text, clock.millis() < until));
      }
    } catch (ZipException | EOFException e) {
      throw RequestProblem.notNow("zip", "This is no readable zip: " + e.getMessage() + ".");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (imported.isEmpty()) {
      throw RequestProblem.notNow("zip", "No file in it: this is no zip, or an empty one.");
    }
    return imported;
  }

  private Imported imported(String file, byte[] text, boolean inTime) {
    if (!file.endsWith(".yaml") && !file.endsWith(".yml")) {
      return new Imported(file, "", 0, List.of(new Fault("", "Not a .yaml file.")));
    }
    if (!inTime) {
      return new Imported(
          file, "", 0, List.of(new Fault("", "Not looked at: bring it in a zip of its own.")));
    }
    try {
      Sheet sheet = store(new String(text, StandardCharsets.UTF_8));
      return new Imported(file, sheet.id(), sheet.revision(), List.of());
    } catch (RequestProblem e) {
      return new Imported(file, "", 0, e.faults());
    }
  }

  /**
   * Stores a sheet as its next revision.
   *
   * @throws RequestProblem with every fault, each with path and line; nothing is stored then
   */
  @Transactional
  public Sheet store(String source) {
    SheetReading reading = SheetReader.forLibrary().read(source);
    if (reading.sheet().isEmpty()) {
      throw RequestProblem.invalid(reading.faults());
    }
    Sheet sheet = reading.sheet().get();
    int have = store.newestOf(sheet.id()).map(SheetRow::revision).orElse(0);
    if (sheet.revision() <= have) {
      throw RequestProblem.notNow(
          "revision",
          "Revision "
              + have
              + " of "
              + sheet.id()
              + " is stored already; give the changed sheet revision "
              + (have + 1)
              + ".");
    }
    withoutWearingPart(sheet)
        .ifPresent(
            p -> {
              throw RequestProblem.notNow(
                  "parts",
                  p.tag()
                      + " wears by its "
                      + p.role()
                      + ", and no part of this sheet has the role "
                      + p.role()
                      + ": its life could not be followed.");
            });
    store.add(new SheetRow(sheet.id(), sheet.revision(), source, OffsetDateTime.now(clock)));
    return sheet;
  }

  /** A pump of this construction whose wearing part the sheet does not have. */
  private Optional<PumpRow> withoutWearingPart(Sheet sheet) {
    return pumps.all().stream()
        .filter(p -> p.sheet().equals(Optional.of(sheet.id())))
        .filter(p -> sheet.parts().stream().noneMatch(q -> q.role().equals(Optional.of(p.role()))))
        .findFirst();
  }

  private Sheet parsed(SheetRow row) {
    return read.get(new SheetKey(row.id(), row.revision()), key -> parse(row));
  }

  private static Sheet parse(SheetRow row) {
    return ShippedLibrary.sheet(row.source())
        .orElseGet(() -> SheetReader.forLibrary().read(row.source()).orThrow());
  }
}
