package isokinon.server.work.setup.tables.pumps;

import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.FluidUse;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * The pumps of a shop: the position, the unit in it, what wears in it and how old that is, the main
 * fluid. A pump that stands keeps its counters and the age of what is in it; those change with
 * readings, rebuilds and the table of what is in the pumps.
 */
@Component
final class PumpTable extends ShopTable {

  private static final Pattern TAG = Pattern.compile("[\\p{Lu}0-9][\\p{Lu}0-9._-]{0,19}");

  private final SetupMapper store;
  private final PumpMapper pumps;
  private final BenchMapper bench;
  private final UnitSerials serials;
  private final WetEndMapper wetEnds;
  private final Sheets sheets;
  private final Clock clock;

  PumpTable(
      SetupMapper store,
      PumpMapper pumps,
      BenchMapper bench,
      UnitSerials serials,
      WetEndMapper wetEnds,
      Sheets sheets,
      Clock clock) {
    this.wetEnds = wetEnds;
    this.store = store;
    this.pumps = pumps;
    this.bench = bench;
    this.serials = serials;
    this.sheets = sheets;
    this.clock = clock;
  }

  @Override
  public SetupTable id() {
    return SetupTable.PUMPS;
  }

  @Override
  public List<SetupColumn> columns() {
    return PumpColumns.ALL;
  }

  @Override
  public List<String> key() {
    return List.of("tag");
  }

  @Override
  public boolean retires() {
    return true;
  }

  @Override
  public Set<String> onlyNew() {
    return Set.of("material", "age_hours", "counter_hours", "read_on");
  }

  @Override
  public List<Standing> rows() {
    return store
        .rows(
            "p.tag, p.area, p.sheet_id as sheet, case when p.sheet_id is null then p.family else ''"
                + " end as family, p.serial, p.duty_title as title, p.hours_per_day,"
                + " f.material, f.came_hours + greatest(0, p.running_hours - f.fitted_at_hours) as"
                + " age_hours, p.interval_hours, e.fluid, e.concentration_pct, e.temperature_c,"
                + " p.body_material as body, p.running_hours as counter_hours, p.hours_on as"
                + " read_on, p.counts_per_hour, p.consequence, w.stop_cost, p.abrasion,"
                + " p.suction_lift_m as suction_m, p.series, p.duty_note as note, p.retired_at",
            "pump p join fitted_part f on f.pump = p.tag and f.leading left join exposure e on"
                + " e.pump = p.tag and e.position = 1 left join wet_end w on w.pump = p.tag order by"
                + " p.area_position, p.tag")
        .stream()
        .map(PumpTable::standing)
        .toList();
  }

  private static Standing standing(Map<String, Object> found) {
    Map<String, String> row = new LinkedHashMap<>();
    PumpColumns.ALL.forEach(c -> row.put(c.id(), text(found.get(c.id()))));
    return new Standing(row, found.get("retired_at") != null);
  }

  @Override
  public Count count() {
    int retired = store.count("pump where retired_at is not null");
    return new Count(pumps.count() - retired, retired);
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    List<Fault> faults = new ArrayList<>();
    if (!TAG.matcher(row.get("tag")).matches()) {
      faults.add(
          new Fault("tag", "A tag is capital letters, figures, dots and dashes, 20 at most."));
    }
    Optional<Sheet> sheet = sheets.find(row.get("sheet"));
    if (sheet.isEmpty() && row.get("family").isEmpty() && before.isEmpty()) {
      faults.add(
          new Fault(
              "sheet", "Construction is missing; where no sheet is written, say which kind."));
    }
    if (sheet.isPresent() && wearRole(sheet.get()).isEmpty()) {
      faults.add(
          new Fault(
              "sheet",
              sheet.get().title()
                  + " has no part that wears as a "
                  + String.join(" or ", sheet.get().family().wearRoles())
                  + ": its sheet must name one first."));
    }
    before.ifPresent(
        b -> {
          String was = b.get("sheet");
          Optional<Sheet> old = sheets.find(was);
          if (!was.equals(row.get("sheet"))
              && old.isPresent()
              && sheet.isPresent()
              && old.get().family() != sheet.get().family()) {
            faults.add(
                new Fault("sheet", "That is another kind of pump: retire this one, add another."));
          }
          if (!was.equals(row.get("sheet")) && bench.runningOn(row.get("tag")).isPresent()) {
            faults.add(new Fault("sheet", row.get("tag") + " is at the bench: finish that first."));
          }
        });
    serials.fault(row, before).ifPresent(faults::add);
    boolean fluid = !row.get("fluid").isEmpty();
    if (fluid && row.get("temperature_c").isEmpty()) {
      faults.add(new Fault("temperature_c", "Say how warm the fluid is at most."));
    }
    String read = row.get("read_on");
    if (!read.isEmpty() && LocalDate.parse(read).isAfter(LocalDate.now(clock))) {
      faults.add(new Fault("read_on", "A counter is not read on a day ahead."));
    }
    return faults;
  }

  @Override
  public List<Fault> together(
      Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    return serials.twice(after, freshLines);
  }

  /** The set of plates and shaft that a sheet names first; empty where all share one. */
  static String usualHardware(Sheet sheet) {
    return sheet.hardware().stream().map(Sheet.Hardware::id).findFirst().orElse("");
  }

  /** The role of what wears in a construction; empty where its sheet has no such part. */
  static Optional<String> wearRole(Sheet sheet) {
    return sheet.family().wearRoles().stream()
        .filter(r -> sheet.parts().stream().anyMatch(p -> p.role().equals(Optional.of(r))))
        .findFirst();
  }

  @Override
  public void write(Map<String, String> typed, Optional<Map<String, String>> before, String who) {
    Optional<Sheet> sheet = sheets.find(typed.get("sheet"));
    Map<String, String> row = filled(typed, sheet);
    int position = areaPosition(row.get("area"));
    if (before.isEmpty()) {
      add(row, sheet, position);
    } else {
      change(row, sheet, position);
    }
    String tag = row.get("tag");
    fluid(row, tag);
    stopCost(row, sheet, tag, who);
  }

  /** A row with what is taken where nothing was said. */
  private static Map<String, String> filled(Map<String, String> typed, Optional<Sheet> sheet) {
    Map<String, String> row = new LinkedHashMap<>(typed);
    Map.of(
            "series", sheet.map(s -> Text.clipped(s.title(), 60)).orElse(""),
            "abrasion", Abrasion.NONE.code(),
            "suction_m", "0",
            "consequence", Consequence.NORMAL.code(),
            "counts_per_hour", "0",
            "stop_cost", "0",
            "concentration_pct", "100")
        .forEach((column, usual) -> row.replace(column, "", usual));
    return row;
  }

  private void add(Map<String, String> row, Optional<Sheet> sheet, int position) {
    Family family =
        sheet
            .map(Sheet::family)
            .or(() -> Code.parse(Family.class, row.get("family")))
            .orElseThrow();
    double age = number(row, "age_hours", 0);
    double hours = Math.max(age, number(row, "counter_hours", age));
    double perDay = number(row, "hours_per_day", 0);
    double counts = number(row, "counts_per_hour", 0);
    LocalDate today = LocalDate.now(clock);
    LocalDate read = row.get("read_on").isEmpty() ? today : LocalDate.parse(row.get("read_on"));
    pumps.add(
        new PumpRow(
            row.get("tag"),
            row.get("area"),
            position,
            family,
            row.get("series"),
            row.get("serial"),
            sheet.map(Sheet::id).orElse(null),
            row.get("title"),
            row.get("note"),
            sheet.flatMap(PumpTable::wearRole).orElse(family.wearRoles().get(0)),
            row.get("material"),
            row.get("body"),
            hours,
            hours * counts,
            perDay,
            number(row, "interval_hours", 1),
            Code.parse(Abrasion.class, row.get("abrasion")).orElseThrow(),
            number(row, "suction_m", 0),
            Code.parse(Consequence.class, row.get("consequence")).orElseThrow(),
            perDay > 0 ? read.minusDays(Math.round(age / perDay)) : read,
            hours - age,
            null,
            counts,
            read,
            "",
            0,
            0,
            (hours - age) * counts,
            ""));
  }

  private void change(Map<String, String> row, Optional<Sheet> sheet, int position) {
    Map<String, String> values = new LinkedHashMap<>();
    values.put("tag", row.get("tag"));
    values.put("area", row.get("area"));
    values.put("area_position", Integer.toString(position));
    sheet.ifPresent(
        s -> {
          values.put("family", s.family().code());
          values.put("sheet_id", s.id());
        });
    values.put("series", row.get("series"));
    values.put("serial", row.get("serial"));
    values.put("duty_title", row.get("title"));
    values.put("duty_note", row.get("note"));
    values.put("body_material", row.get("body"));
    values.put("hours_per_day", row.get("hours_per_day"));
    values.put("interval_hours", row.get("interval_hours"));
    values.put("abrasion", row.get("abrasion"));
    values.put("suction_lift_m", row.get("suction_m"));
    values.put("consequence", row.get("consequence"));
    values.put("counts_per_hour", row.get("counts_per_hour"));
    store.put("pump", List.of("tag"), List.copyOf(values.keySet()), List.copyOf(values.values()));
  }

  private int areaPosition(String area) {
    List<Map<String, Object>> areas = store.rows("name, position", "area order by position");
    for (Map<String, Object> a : areas) {
      if (area.equals(a.get("name"))) {
        return ((Number) a.get("position")).intValue();
      }
    }
    int next =
        areas.isEmpty() ? 0 : 1 + ((Number) areas.get(areas.size() - 1).get("position")).intValue();
    store.put(
        "area",
        List.of("name"),
        List.of("name", "position"),
        List.of(area, Integer.toString(next)));
    return next;
  }

  /**
   * The main fluid, where the pump has no other beside it: a duty of several is a table of its own.
   */
  private void fluid(Map<String, String> row, String tag) {
    List<ExposureRow> there = pumps.exposures(tag);
    if (row.get("fluid").isEmpty() || there.size() > 1) {
      return;
    }
    Optional<ExposureRow> now = there.stream().findFirst();
    double warmest = number(row, "temperature_c", 0);
    ExposureRow said =
        new ExposureRow(
            tag,
            1,
            row.get("fluid"),
            number(row, "concentration_pct", 100),
            warmest,
            1,
            now.map(ExposureRow::note).orElse(""),
            now.map(ExposureRow::usualC).filter(usual -> usual <= warmest).orElse(null),
            now.map(ExposureRow::kind).orElse(FluidUse.PROCESS));
    if (!now.equals(Optional.of(said))) {
      store.remove("exposure", Map.of("pump", tag));
      pumps.addExposure(said);
    }
  }

  private void stopCost(Map<String, String> row, Optional<Sheet> sheet, String tag, String who) {
    Optional<WetEndRow> there = wetEnds.wetEnd(tag);
    double cost = number(row, "stop_cost", 0);
    if (there.filter(w -> w.stopCost() == cost).isPresent()) {
      return;
    }
    Map<String, String> values = new LinkedHashMap<>();
    values.put("pump", tag);
    values.put("stop_cost", row.get("stop_cost"));
    values.put("changed_by", who);
    values.put("changed_at", OffsetDateTime.now(clock).toString());
    if (there.isEmpty()) {
      values.put("hardware", sheet.map(PumpTable::usualHardware).orElse(""));
      values.put("rotor_class_mm", "0");
      values.put("parts", "");
    }
    store.put(
        "wet_end", List.of("pump"), List.copyOf(values.keySet()), List.copyOf(values.values()));
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return bench.runningOn(row.get("tag")).isPresent()
        ? Optional.of(row.get("tag") + " is at the bench: hand it back first.")
        : Optional.empty();
  }

  @Override
  public void retire(Map<String, String> row, boolean retired) {
    store.retire("pump", "tag", row.get("tag"), retired ? OffsetDateTime.now(clock) : null);
  }

  /** Takes out a pump that nothing was done to yet; one with a history is retired. */
  @Override
  public void remove(Map<String, String> row) {
    String tag = row.get("tag");
    if (store.historyOf(tag) > 0) {
      retire(row, true);
      return;
    }
    for (String table :
        List.of(
            "exposure",
            "wet_end",
            "past_duty",
            "forecast",
            "pump_rule",
            "pump_energy",
            "fitted_part")) {
      store.remove(table, Map.of("pump", tag));
    }
    store.remove("pump", Map.of("tag", tag));
  }

  private static double number(Map<String, String> row, String column, double otherwise) {
    return row.get(column).isEmpty() ? otherwise : Double.parseDouble(row.get(column));
  }
}
