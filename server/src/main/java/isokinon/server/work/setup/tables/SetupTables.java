package isokinon.server.work.setup.tables;

import static isokinon.server.work.setup.tables.SetupColumn.name;
import static isokinon.server.work.setup.tables.SetupColumn.number;
import static isokinon.server.work.setup.tables.SetupColumn.plain;
import static isokinon.server.work.setup.tables.SetupColumn.text;
import static isokinon.server.work.setup.tables.SetupColumn.whole;

import isokinon.core.sheet.Family;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import isokinon.server.work.setup.tables.StoredTable.Check;
import isokinon.server.work.setup.tables.StoredTable.Stored;
import isokinon.server.work.setup.tables.StoredTable.Together;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import org.springframework.stereotype.Component;

/** The declarations of all tables of the set-up. */
@Component
public class SetupTables {

  private static final double MOST_NM = 2_000;
  private static final double SHARES_OFF = 0.005;

  private final Map<SetupTable, ShopTable> tables = new EnumMap<>(SetupTable.class);

  /**
   * All tables: those that are more than one table of the database, and those that are one each.
   *
   * @param several the former
   */
  SetupTables(List<ShopTable> several, SetupMapper store, Sheets sheets, Clock clock) {
    several.forEach(this::add);
    Stores in = new Stores(store, clock);
    add(in.areas());
    add(in.duties());
    add(in.energies());
    add(in.pairs());
    add(in.wrenches());
    add(in.gauges());
    add(in.kits(sheets));
    add(in.offers());
    add(in.consumableOffers());
    add(in.shifts());
    add(in.holidays());
    add(in.fixtures());
    add(in.lineStops());
  }

  private void add(ShopTable table) {
    tables.put(table.id(), table);
  }

  /** The table with this id, for one reading of it. */
  public ShopTable of(SetupTable id) {
    return tables.get(id).opened();
  }

  /** The tables that are one table of the database each. */
  private record Stores(SetupMapper store, Clock clock) {

    private StoredTable table(
        SetupTable id, Stored stored, List<SetupColumn> columns, Check check, Together together) {
      return new StoredTable(store, clock, id, stored, columns, check, together);
    }

    private StoredTable table(
        SetupTable id, Stored stored, List<SetupColumn> columns, Check check) {
      return table(id, stored, columns, check, rows -> List.of());
    }

    private static Stored in(String table, String... key) {
      return new Stored(table, List.of(key), Map.of(), false);
    }

    StoredTable areas() {
      return table(
          SetupTable.AREAS,
          in("area", "name"),
          List.of(
              text("name", "Name", 60).must().also("area", "department", "bereich"),
              whole("position", "Place on the floor", "", 0, 1_000)
                  .must()
                  .saying("0 stands first")
                  .also("order", "position")),
          row -> List.of());
    }

    StoredTable duties() {
      return table(
          SetupTable.DUTIES,
          in("exposure", "pump", "position"),
          List.of(
              name("pump", "Pump", Names.PUMPS).must().also("tag"),
              whole("position", "Which of its fluids", "", 1, 20)
                  .must()
                  .saying("1 is the one it pumps most of the time")
                  .also("no", "order"),
              name("fluid", "Fluid", Names.FLUIDS).must().also("medium", "product"),
              number("concentration_pct", "Strength", "%", 0, 100)
                  .must()
                  .also("concentration", "strength"),
              number("temperature_c", "Highest temperature", "°C", -60, 300)
                  .must()
                  .also("temp", "temperature", "max temp"),
              number("usual_c", "Usual temperature", "°C", -60, 300).also("usual temp"),
              number("share", "Share of the time", "", 0, 1)
                  .must()
                  .saying("0 to 1; those of a pump add up to 1")
                  .also("part of the time"),
              name("kind", "What for", Names.FLUID_USE)
                  .must()
                  .saying("process, cleaning, standing"),
              text("note", "Note", 120).also("remark")),
          row -> List.of(),
          Stores::shares);
    }

    private static List<Fault> shares(Collection<Map<String, String>> rows) {
      Map<String, Double> sums = new LinkedHashMap<>();
      rows.forEach(r -> sums.merge(r.get("pump"), Double.parseDouble(r.get("share")), Double::sum));
      List<Fault> faults = new ArrayList<>();
      sums.forEach(
          (pump, sum) -> {
            if (Math.abs(sum - 1) > SHARES_OFF) {
              faults.add(
                  new Fault(
                      pump,
                      "The shares of "
                          + pump
                          + " add up to "
                          + Text.plain(Math.rint(sum * 1e3) / 1e3)
                          + ", not to 1."));
            }
          });
      return faults;
    }

    StoredTable energies() {
      return table(
          SetupTable.ENERGIES,
          in("pump_energy", "pump", "hazard"),
          List.of(
              name("pump", "Pump", Names.PUMPS).must().also("tag"),
              text("hazard", "Energy", 80)
                  .must()
                  .saying("as its sheet names it: mains, discharge-pressure")
                  .also("hazard", "energy"),
              text("place", "Where it is cut", 200)
                  .must()
                  .saying("valve, isolator, board")
                  .also("valve", "isolator", "cut at")),
          row -> List.of());
    }

    StoredTable pairs() {
      return table(
          SetupTable.PAIRS,
          in("pump_rule", "pump"),
          List.of(
              name("pump", "Pump", Names.PUMPS).must().also("tag"),
              text("line", "Line", 60).atOnce().saying("must stand still for its job"),
              name("pair", "Stands in for it", Names.PUMPS)
                  .atOnce()
                  .saying("is never out at the same time")
                  .also("pair", "standby", "spare")),
          row ->
              row.get("pump").equals(row.get("pair"))
                  ? List.of(new Fault("pair", "A pump does not stand in for itself."))
                  : List.of());
    }

    StoredTable wrenches() {
      return table(
          SetupTable.WRENCHES,
          new Stored("wrench", List.of("wrench"), Map.of("wrench", "id"), true),
          List.of(
              text("wrench", "Wrench", 20).must().also("id", "no", "tool"),
              number("min_nm", "From", "N·m", 0, MOST_NM).must().also("min", "from"),
              number("max_nm", "To", "N·m", 0, MOST_NM).must().also("max", "to"),
              plain("calibrated_until", "Calibrated until", Holds.DAY)
                  .must()
                  .also("calibration", "due", "next calibration"),
              plain("clicks", "Clicks", Holds.YES_NO)
                  .atOnce()
                  .saying("yes where it shows no number")),
          row ->
              Double.parseDouble(row.get("min_nm")) < Double.parseDouble(row.get("max_nm"))
                  ? List.of()
                  : List.of(
                      new Fault(
                          "min_nm",
                          "It begins at "
                              + row.get("min_nm")
                              + " N·m and ends at "
                              + row.get("max_nm")
                              + ": the least must be under the most.")));
    }

    StoredTable gauges() {
      return table(
          SetupTable.GAUGES,
          new Stored("gauge", List.of("gauge"), Map.of("gauge", "id"), true),
          List.of(
              text("gauge", "Gauge", 20).must().also("id", "no"),
              text("kind", "Kind", 30).must().saying("bore-gauge, calliper, pressure-gauge"),
              text("title", "Name", 120).must().also("description"),
              text("unit", "Unit", 20).must().saying("mm, bar, °C, ohm"),
              number("resolution", "Least step", "", 0, 1e6).must().also("resolution"),
              number("uncertainty", "Uncertainty", "", 0, 1e6)
                  .must()
                  .saying("standard, in its unit"),
              plain("calibrated_until", "Calibrated until", Holds.DAY)
                  .must()
                  .also("calibration", "due", "next calibration"),
              text("measures", "Meant for", 600)
                  .saying("measures with | between; nothing: all of its unit")),
          row -> List.of());
    }

    private static SetupColumn orderNumber() {
      return text("order_number", "Order number", 40)
          .saying("by which it is ordered; nothing where nobody knows")
          .also("number", "article no", "art nr", "part number", "kit number");
    }

    StoredTable kits(Sheets sheets) {
      return table(
          SetupTable.KITS,
          new Stored(
              "wet_kit",
              List.of("sheet", "kit", "material", "hardware"),
              Map.of("sheet", "sheet_id"),
              false),
          List.of(
              name("sheet", "Construction", Names.SHEETS).must().also("for", "type"),
              text("kit", "Kit", 60).must().saying("its id in the sheet").also("kit id"),
              name("material", "Material", Names.MATERIALS).must().also("elastomer"),
              text("hardware", "Stands on", 60).saying("set of plates, by its id"),
              text("parts", "Its other parts", 400)
                  .saying("role=material with ; between, as ball=NBR;seat=body"),
              orderNumber(),
              number("price", "Price", "", 0, 1e6).must().also("preis", "cost"),
              whole("lead_days", "Days to come", "d", 0, 1_000).must().also("lead time", "lead")),
          row ->
              sheets.find(row.get("sheet")).flatMap(s -> s.kit(row.get("kit"))).isPresent()
                  ? List.of()
                  : List.of(
                      new Fault(
                          "kit", "That construction has no kit called " + row.get("kit") + ".")));
    }

    StoredTable offers() {
      return table(
          SetupTable.OFFERS,
          new Stored("offer", List.of("sheet", "id"), Map.of("sheet", "sheet_id"), false),
          List.of(
              name("sheet", "Construction", Names.SHEETS).must().also("for", "type"),
              text("id", "Part or kit", 90)
                  .must()
                  .saying("as part:outlet-manifold")
                  .also("part", "item"),
              orderNumber(),
              number("price", "Price", "", 0, 1e6).must().also("preis", "cost"),
              whole("lead_days", "Days to come", "d", 0, 1_000).must().also("lead time", "lead")),
          row -> List.of());
    }

    StoredTable consumableOffers() {
      return table(
          SetupTable.CONSUMABLE_OFFERS,
          in("consumable_offer", "consumable"),
          List.of(
              name("consumable", "What", Names.CONSUMABLES).must().also("grease", "item"),
              number("price", "Price of a pack", "", 0, 1e6).must().also("price", "preis"),
              whole("lead_days", "Days to come", "d", 0, 1_000).must().also("lead time", "lead")),
          row -> List.of());
    }

    StoredTable shifts() {
      return table(
          SetupTable.SHIFTS,
          new Stored(
              "shift",
              List.of("who", "weekday", "from"),
              Map.of("from", "from_minute", "to", "to_minute"),
              false),
          List.of(
              name("who", "Who", Names.PEOPLE).must().also("initials", "person"),
              name("weekday", "Day of the week", Names.WEEKDAYS).must().also("day"),
              plain("from", "From", Holds.TIME).must().also("start", "begins"),
              plain("to", "To", Holds.TIME).must().also("end", "ends"),
              plain("overtime", "Overtime", Holds.YES_NO).atOnce()),
          row -> begins(row, "from", "to", (a, b) -> a.compareTo(b) < 0));
    }

    StoredTable holidays() {
      return table(
          SetupTable.HOLIDAYS,
          new Stored("holiday", List.of("day"), Map.of("day", "day_off"), false),
          List.of(
              plain("day", "Day", Holds.DAY).must().also("date"),
              text("title", "What for", 120).must().also("name", "holiday")),
          row -> List.of());
    }

    StoredTable fixtures() {
      return table(
          SetupTable.FIXTURES,
          new Stored("fixture", List.of("fixture"), Map.of("fixture", "id"), false),
          List.of(
              text("fixture", "Fixture", 30).must().saying("its id").also("id"),
              text("title", "Name", 120).must().also("description"),
              whole("pieces", "How many", "", 1, 100).must().also("count"),
              text("families", "For", 300)
                  .must()
                  .saying("families with ; between: " + Code.all(Family.class))
                  .also("family")),
          row ->
              Arrays.stream(row.get("families").split(";"))
                  .map(String::strip)
                  .filter(f -> Code.parse(Family.class, f).isEmpty())
                  .map(f -> new Fault("families", "\"" + f + "\" is no family of pumps."))
                  .toList());
    }

    StoredTable lineStops() {
      return table(
          SetupTable.LINE_STOPS,
          new Stored(
              "line_stop",
              List.of("line", "starts"),
              Map.of("starts", "starts_at", "ends", "ends_at"),
              false),
          List.of(
              text("line", "Line", 60).must(),
              text("title", "What for", 120).must().also("reason", "name"),
              plain("starts", "From", Holds.MOMENT).must().also("from", "begin", "begins"),
              plain("ends", "To", Holds.MOMENT).must().also("to", "end")),
          row -> begins(row, "starts", "ends", (a, b) -> a.compareTo(b) < 0));
    }

    private static List<Fault> begins(
        Map<String, String> row, String from, String to, BiPredicate<String, String> before) {
      return before.test(row.get(from), row.get(to))
          ? List.of()
          : List.of(new Fault(to, "It ends before it begins."));
    }
  }
}
