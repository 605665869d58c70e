package isokinon.server.work;

import isokinon.core.counter.WearCount;
import isokinon.core.sheet.Code;
import isokinon.core.sheet.Family;
import isokinon.server.store.FittedPartRow;
import isokinon.server.store.HistoryMapper;
import isokinon.server.store.PumpMapper;
import isokinon.server.store.PumpRow;
import isokinon.server.store.RunRow;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The runs of the shop's wear parts as a table, finished and still running. */
@Service
public class HistoryTable {

  /** How a run ended, as it is written. */
  static final String FAILED = "failed";

  static final String SOUND = "sound";
  static final String RUNNING = "running";

  private final PumpMapper pumps;
  private final HistoryMapper history;

  HistoryTable(PumpMapper pumps, HistoryMapper history) {
    this.pumps = pumps;
    this.history = history;
  }

  /** Every run, those that still run at the end, under our own headings. */
  @Transactional(readOnly = true)
  public String csv() {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
      out.printRecord(Arrays.stream(HistoryField.values()).map(HistoryField::code).toList());
      for (Map<String, Object> run : all()) {
        out.printRecord(
            Arrays.stream(HistoryField.values())
                .map(f -> run.getOrDefault(f.code(), ""))
                .map(v -> v instanceof Double d ? Words.digits(d) : v.toString())
                .toList());
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return text.toString();
  }

  /** The same as records; a field that is not known is left out. */
  @Transactional(readOnly = true)
  public List<Map<String, Object>> all() {
    List<Map<String, Object>> all = new ArrayList<>();
    pumps.allRuns().forEach(r -> all.add(record(r)));
    Map<String, String> duties = new HashMap<>();
    pumps.allExposures().stream()
        .filter(e -> e.position() == 1)
        .forEach(e -> duties.put(e.pump(), e.fluid()));
    Map<String, PumpRow> byTag = new HashMap<>();
    for (PumpRow p : pumps.all()) {
      byTag.put(p.tag(), p);
      all.add(running(p, duties.getOrDefault(p.tag(), "")));
    }
    for (FittedPartRow f : history.allFitted()) {
      all.add(running(f, byTag.get(f.pump()), duties.getOrDefault(f.pump(), "")));
    }
    return all;
  }

  private static Map<String, Object> record(RunRow r) {
    Map<String, Object> m = new LinkedHashMap<>();
    put(m, HistoryField.TAG, r.pump());
    put(m, HistoryField.UNIT, r.unit());
    put(m, HistoryField.PART_SERIAL, r.partSerial());
    put(m, HistoryField.PLACE, r.place());
    put(m, HistoryField.ROLE, r.role());
    put(m, HistoryField.MATERIAL, r.material());
    put(m, HistoryField.DUTY, r.dutyGroup());
    put(m, HistoryField.CONSTRUCTION, r.construction());
    put(m, HistoryField.FITTED_ON, r.fittedOn().toString());
    put(m, HistoryField.ENDED_ON, r.endedOn().toString());
    put(m, HistoryField.HOURS, r.hours());
    put(m, HistoryField.CAME_HOURS, r.cameHours());
    put(m, HistoryField.COUNTED, r.counted());
    put(m, HistoryField.COUNTS, r.counts());
    put(m, HistoryField.CAME_COUNT, r.cameCount());
    put(m, HistoryField.ENDED, r.failed() ? FAILED : SOUND);
    put(m, HistoryField.CAUSE, r.cause());
    put(m, HistoryField.NOTE, r.note());
    return m;
  }

  private static Map<String, Object> running(PumpRow p, String duty) {
    Map<String, Object> m = new LinkedHashMap<>();
    put(m, HistoryField.TAG, p.tag());
    put(m, HistoryField.UNIT, p.serial());
    put(m, HistoryField.PART_SERIAL, p.partSerial());
    put(m, HistoryField.ROLE, p.role());
    put(m, HistoryField.MATERIAL, p.material());
    put(m, HistoryField.DUTY, duty);
    put(m, HistoryField.CONSTRUCTION, p.sheet().orElse(""));
    put(m, HistoryField.FITTED_ON, p.fittedOn().toString());
    put(m, HistoryField.HOURS, p.hoursHere());
    put(m, HistoryField.CAME_HOURS, p.cameHours());
    put(m, HistoryField.COUNTED, counted(p).code());
    put(m, HistoryField.COUNTS, p.countsPerHour() > 0 ? p.countsHere() : null);
    put(m, HistoryField.CAME_COUNT, p.cameCount());
    put(m, HistoryField.ENDED, RUNNING);
    return m;
  }

  private static Map<String, Object> running(FittedPartRow f, PumpRow p, String duty) {
    Map<String, Object> m = new LinkedHashMap<>();
    put(m, HistoryField.TAG, f.pump());
    put(m, HistoryField.UNIT, p.serial());
    put(m, HistoryField.PART_SERIAL, f.partSerial());
    put(m, HistoryField.PLACE, f.place());
    put(m, HistoryField.ROLE, f.role());
    put(m, HistoryField.MATERIAL, f.material());
    put(m, HistoryField.DUTY, duty);
    put(m, HistoryField.CONSTRUCTION, p.sheet().orElse(""));
    put(m, HistoryField.FITTED_ON, f.fittedOn().toString());
    put(m, HistoryField.HOURS, Math.max(0, p.runningHours() - f.fittedAtHours()));
    put(m, HistoryField.CAME_HOURS, f.cameHours());
    put(m, HistoryField.COUNTED, WearCount.HOURS.code());
    put(m, HistoryField.ENDED, RUNNING);
    return m;
  }

  private static void put(Map<String, Object> m, HistoryField field, Object value) {
    if (value != null && !value.equals("")) {
      m.put(field.code(), value);
    }
  }

  /** What drives the wear of a pump's parts. */
  static WearCount counted(PumpRow pump) {
    return Code.parse(Family.class, pump.family()).map(WearCount::of).orElse(WearCount.HOURS);
  }
}
