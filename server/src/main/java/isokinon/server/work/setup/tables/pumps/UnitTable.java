package isokinon.server.work.setup.tables.pumps;

import static isokinon.server.work.setup.tables.SetupColumn.name;
import static isokinon.server.work.setup.tables.SetupColumn.number;

import isokinon.core.sheet.Sheet;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.db.units.SpareUnitMapper;
import isokinon.server.db.units.SpareUnitPartRow;
import isokinon.server.db.units.SpareUnitRow;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * The units of a shop by their serials: those that stand in a pump, and those on the shelf with
 * what is in them. A unit goes into a pump and comes out of it on the page of the pump, because
 * runs end there; of one that stands in a pump this table only says which.
 */
@Component
final class UnitTable extends ShopTable {

  private static final List<SetupColumn> COLUMNS =
      List.of(
          SetupColumn.text("serial", "Serial", 40)
              .must()
              .saying("as on its plate")
              .also("unit", "serial number", "fabr nr", "pump serial"),
          name("sheet", "Construction", Names.SHEETS)
              .must()
              .saying("the sheet by which it is rebuilt")
              .also("type", "model", "bauart"),
          name("pump", "Stands in", Names.PUMPS_EVER)
              .atOnce()
              .saying("nothing where it is on the shelf")
              .also("pump", "tag", "position"),
          SetupColumn.text("place", "Lies at", 20).atOnce().also("shelf", "place", "bin", "platz"),
          name("material", "Material in it", Names.MATERIALS)
              .atOnce()
              .saying("of the diaphragm, tube, stator or bushing; of one on the shelf")
              .also("elastomer", "membran"),
          number("age_hours", "Hours on it", "h", 0, 1e6)
              .atOnce()
              .saying("of running since it went in")
              .also("age", "hours"),
          SetupColumn.text("body", "Body", 20)
              .saying("material of the wet housing, as PP or 1.4404")
              .also("body material", "housing", "casing"),
          SetupColumn.text("series", "Series", 60).saying("as the shop calls the construction"),
          SetupColumn.text("hardware", "Plates and shaft", 60).saying("by their id in the sheet"),
          number("rotor_class_mm", "Rotor class", "mm", -5, 5)
              .saying("difference to the standard rotor"),
          SetupColumn.text("parts", "Its other materials", 400)
              .saying("role=material with ; between, as ball=NBR;seat=body"),
          SetupColumn.text("variants", "How it is made", 200)
              .saying("ids of the sheet's ways with ; between"),
          SetupColumn.text("part_serial", "Serial of the part", 40)
              .saying("of the stator, rotor or set that wears"),
          number("age_count", "Counts on it", "", 0, 1e12).saying("strokes, flexes or turns"),
          SetupColumn.text("wear", "Its other wear parts", 2_000).saying(WearParts.SAYS),
          SetupColumn.text("note", "Note", 120).also("remark", "bemerkung", "comment"));

  private final SetupMapper store;
  private final PumpMapper pumps;
  private final SpareUnitMapper units;
  private final UnitSerials serials;
  private final Sheets sheets;
  private final Clock clock;

  UnitTable(
      SetupMapper store,
      PumpMapper pumps,
      SpareUnitMapper units,
      UnitSerials serials,
      Sheets sheets,
      Clock clock) {
    this.store = store;
    this.pumps = pumps;
    this.units = units;
    this.serials = serials;
    this.sheets = sheets;
    this.clock = clock;
  }

  @Override
  public SetupTable id() {
    return SetupTable.UNITS;
  }

  @Override
  public List<SetupColumn> columns() {
    return COLUMNS;
  }

  @Override
  public List<String> key() {
    return List.of("serial");
  }

  @Override
  public boolean retires() {
    return true;
  }

  @Override
  public List<Standing> rows() {
    Map<String, List<SpareUnitPartRow>> parts =
        units.allParts().stream().collect(Collectors.groupingBy(SpareUnitPartRow::unit));
    Stream<Standing> onShelf =
        units.all().stream().map(u -> new Standing(row(u, parts.get(u.serial())), u.retired()));
    Stream<Standing> inPumps =
        store
            .rows(
                "serial, sheet_id as sheet, tag as pump, body_material as body, series",
                "pump where serial <> '' order by serial, tag")
            .stream()
            .map(found -> new Standing(inPump(found), false));
    return Stream.concat(onShelf, inPumps).toList();
  }

  private static Map<String, String> inPump(Map<String, Object> found) {
    Map<String, String> row = new LinkedHashMap<>();
    COLUMNS.forEach(c -> row.put(c.id(), text(found.get(c.id()))));
    return row;
  }

  private static Map<String, String> row(SpareUnitRow u, List<SpareUnitPartRow> parts) {
    SpareUnitPartRow set = parts.get(0);
    Map<String, String> row = new LinkedHashMap<>();
    row.put("serial", u.serial());
    row.put("sheet", u.sheetId());
    row.put("pump", "");
    row.put("place", u.place());
    row.put("material", set.material());
    row.put("age_hours", Text.digits(set.hours()));
    row.put("body", u.bodyMaterial());
    row.put("series", u.series());
    row.put("hardware", u.hardware());
    row.put("rotor_class_mm", Text.digits(u.rotorClassMm()));
    row.put("parts", u.parts());
    row.put("variants", u.variants());
    row.put("part_serial", set.partSerial());
    row.put("age_count", Text.digits(set.counts()));
    row.put("wear", WearParts.text(parts.subList(1, parts.size())));
    row.put("note", u.note());
    return row;
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    String tag = row.get("pump");
    String stood = before.map(b -> b.get("pump")).orElse("");
    if (!tag.equals(stood)) {
      return List.of(new Fault("pump", goesIn(row.get("serial"), tag.isEmpty() ? stood : tag)));
    }
    return tag.isEmpty() ? faultsOnShelf(row, before) : faultsInPump(row, before.orElseThrow());
  }

  private String goesIn(String serial, String tag) {
    return pumps.byTag(tag).map(PumpRow::serial).filter(String::isEmpty).isPresent()
        ? "Nobody has told the serial of the unit in " + tag + " yet: tell it under Pumps."
        : "Unit "
            + serial
            + " goes into "
            + tag
            + ", or comes out of it, on the page of "
            + tag
            + ".";
  }

  /** Of a unit in a pump this table says what the tables of the pumps say. */
  private static List<Fault> faultsInPump(Map<String, String> row, Map<String, String> before) {
    return COLUMNS.stream()
        .filter(c -> !before.get(c.id()).equals(row.get(c.id())))
        .map(
            c ->
                new Fault(
                    c.id(),
                    "Unit " + row.get("serial") + " stands in a pump: that is told under Pumps."))
        .toList();
  }

  private List<Fault> faultsOnShelf(Map<String, String> row, Optional<Map<String, String>> before) {
    List<Fault> faults = new ArrayList<>();
    Optional<Sheet> sheet = sheets.find(row.get("sheet"));
    if (before.filter(b -> !b.get("sheet").equals(row.get("sheet"))).isPresent()) {
      faults.add(new Fault("sheet", "That is another construction: retire this one, add another."));
    }
    if (sheet.flatMap(PumpTable::wearRole).isEmpty()) {
      faults.add(new Fault("sheet", "Its sheet names no part that wears: it must name one first."));
    }
    if (row.get("material").isEmpty()) {
      faults.add(new Fault("material", "Say what is in it: the material of what wears."));
    }
    if (row.get("age_hours").isEmpty()) {
      faults.add(new Fault("age_hours", "Say how many hours are on it; 0 where it is new."));
    }
    WearParts.fault(row.get("wear")).ifPresent(f -> faults.add(new Fault("wear", f)));
    return faults;
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    String serial = row.get("serial");
    if (!row.get("pump").isEmpty()) {
      return; // it says what stands
    }
    requireOnShelf(serial);
    Optional<SpareUnitRow> there = units.unit(serial);
    Sheet sheet = sheets.find(row.get("sheet")).orElseThrow();
    units.remove(serial);
    units.add(
        new SpareUnitRow(
            serial,
            sheet.id(),
            row.get("series").isEmpty() ? Text.clipped(sheet.title(), 60) : row.get("series"),
            row.get("body"),
            row.get("variants"),
            row.get("hardware").isEmpty() ? PumpTable.usualHardware(sheet) : row.get("hardware"),
            orNone(row, "rotor_class_mm"),
            row.get("parts"),
            row.get("place"),
            row.get("note"),
            there.map(SpareUnitRow::cameFrom).orElse(""),
            there.map(SpareUnitRow::since).orElse(LocalDate.now(clock)),
            there.map(SpareUnitRow::lookInHours).orElse(null),
            there.map(SpareUnitRow::lookBecause).orElse(""),
            there.map(SpareUnitRow::retiredAt).orElse(null)));
    units.addPart(
        new SpareUnitPartRow(
            serial,
            PumpTable.wearRole(sheet).orElseThrow(),
            "",
            row.get("part_serial"),
            row.get("material"),
            orNone(row, "age_hours"),
            orNone(row, "age_count"),
            true));
    WearParts.rows(serial, row.get("wear")).forEach(units::addPart);
  }

  private static double orNone(Map<String, String> row, String column) {
    return row.get(column).isEmpty() ? 0 : Double.parseDouble(row.get(column));
  }

  /** A unit that went into a pump meanwhile is no more on the shelf. */
  private void requireOnShelf(String serial) {
    standsIn(serial)
        .ifPresent(
            why -> {
              throw RequestProblem.notNow("", why);
            });
  }

  private Optional<String> standsIn(String serial) {
    return serials
        .inPump(serial)
        .map(tag -> "Unit " + serial + " stands in " + tag + ": put another in first.");
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return standsIn(row.get("serial"));
  }

  @Override
  public void retire(Map<String, String> row, boolean retired) {
    store.retire(
        "spare_unit", "serial", row.get("serial"), retired ? OffsetDateTime.now(clock) : null);
  }

  @Override
  public void remove(Map<String, String> row) {
    units.remove(row.get("serial"));
  }
}
