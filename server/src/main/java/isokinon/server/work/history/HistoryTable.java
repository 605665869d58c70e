package isokinon.server.work.history;

import isokinon.core.life.history.RunEnd;
import isokinon.core.table.CsvTable;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The runs of the shop's wear parts as a table, finished and still running. */
@Service
public class HistoryTable {

  private final PumpMapper pumps;

  HistoryTable(PumpMapper pumps) {
    this.pumps = pumps;
  }

  /** Every run, those that still run at the end, under our own headings. */
  @Transactional(readOnly = true)
  public String csv() {
    List<HistoryField> fields = List.of(HistoryField.values());
    return CsvTable.written(
        fields.stream().map(HistoryField::code).toList(),
        all().stream()
            .map(run -> fields.stream().map(f -> run.getOrDefault(f.code(), "")))
            .map(line -> line.map(v -> v instanceof Double d ? Text.digits(d) : v).toList())
            .toList());
  }

  /** The same as records; a field that is not known is left out. */
  @Transactional(readOnly = true)
  public List<Map<String, Object>> all() {
    return records(pumps.allRuns(), pumps.allFitted());
  }

  /** The first of them, at most so many that are over. */
  @Transactional(readOnly = true)
  public List<Map<String, Object>> first(int most) {
    return records(pumps.firstRuns(most), pumps.allFitted());
  }

  /** Those of these pumps, and those of parts with these serials. */
  @Transactional(readOnly = true)
  public List<Map<String, Object>> of(Set<String> tags, Set<String> serials) {
    return records(
        pumps.runsOfAny(tags, serials),
        pumps.allFitted().stream()
            .filter(f -> tags.contains(f.pump()) || serials.contains(f.partSerial()))
            .toList());
  }

  private List<Map<String, Object>> records(List<RunRow> runs, List<FittedPartRow> fitted) {
    List<Map<String, Object>> all = new ArrayList<>();
    runs.forEach(r -> all.add(record(r)));
    Map<String, String> duties = pumps.mainFluids();
    Map<String, PumpRow> byTag = new HashMap<>();
    pumps.all().forEach(p -> byTag.put(p.tag(), p));
    for (FittedPartRow f : fitted) {
      all.add(running(f, byTag.get(f.pump()), duties.getOrDefault(f.pump(), "")));
    }
    return all;
  }

  private static Map<String, Object> record(RunRow r) {
    Map<String, Object> m =
        part(r.pump(), r.unit(), r.partSerial(), r.place(), r.role(), r.material());
    put(m, HistoryField.DUTY, r.dutyGroup());
    put(m, HistoryField.CONSTRUCTION, r.construction());
    put(m, HistoryField.FITTED_ON, r.fittedOn().toString());
    put(m, HistoryField.ENDED_ON, r.endedOn().toString());
    put(m, HistoryField.HOURS, r.hours());
    put(m, HistoryField.CAME_HOURS, r.cameHours());
    put(m, HistoryField.COUNTED, r.counted().code());
    put(m, HistoryField.COUNTS, r.counts());
    put(m, HistoryField.CAME_COUNT, r.cameCount());
    put(m, HistoryField.ENDED, RunEnd.of(r.failed()).code());
    put(m, HistoryField.CAUSE, r.cause());
    put(m, HistoryField.NOTE, r.note());
    return m;
  }

  private static Map<String, Object> running(FittedPartRow f, PumpRow p, String duty) {
    Map<String, Object> m =
        part(f.pump(), p.serial(), f.partSerial(), f.place(), f.role(), f.material());
    running(m, p, duty, f.fittedOn(), f.hoursHere(p), f.cameHours());
    counted(m, p, f.countsHere(p), f.cameCount());
    return m;
  }

  private static Map<String, Object> part(
      String tag, String unit, String serial, String place, String role, String material) {
    Map<String, Object> m = new LinkedHashMap<>();
    put(m, HistoryField.TAG, tag);
    put(m, HistoryField.UNIT, unit);
    put(m, HistoryField.PART_SERIAL, serial);
    put(m, HistoryField.PLACE, place);
    put(m, HistoryField.ROLE, role);
    put(m, HistoryField.MATERIAL, material);
    return m;
  }

  /** What stands around a part that runs, and how long it has run. */
  private static void running(
      Map<String, Object> m, PumpRow p, String duty, LocalDate fitted, double hours, double came) {
    put(m, HistoryField.DUTY, duty);
    put(m, HistoryField.CONSTRUCTION, p.sheet().orElse(""));
    put(m, HistoryField.FITTED_ON, fitted.toString());
    put(m, HistoryField.HOURS, hours);
    put(m, HistoryField.CAME_HOURS, came);
  }

  /** How long the same is in the count that drives its wear, where anybody counts. */
  private static void counted(Map<String, Object> m, PumpRow p, double counts, double came) {
    put(m, HistoryField.COUNTED, p.counted().code());
    put(m, HistoryField.COUNTS, p.countsPerHour() > 0 ? counts : null);
    put(m, HistoryField.CAME_COUNT, came);
    put(m, HistoryField.ENDED, RunEnd.RUNNING.code());
  }

  private static void put(Map<String, Object> m, HistoryField field, Object value) {
    if (value != null && !value.equals("")) {
      m.put(field.code(), value);
    }
  }
}
