package isokinon.server.work.history;

import static isokinon.server.work.history.HistoryTable.FAILED;
import static isokinon.server.work.history.HistoryTable.RUNNING;
import static isokinon.server.work.history.HistoryTable.SOUND;

import isokinon.core.counter.WearCount;
import isokinon.core.life.Stints.Stint;
import isokinon.core.material.Fluid;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.table.CsvRow;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/** Reads the lines of a table of runs, and tells what is wrong with each. */
final class HistoryLines {

  private static final int MOST_NOTE = 2000;
  private static final int MOST_CAUSE = 200;
  private static final double HOURS_OF_A_DAY = 24;

  /** Words for an outcome that need no explaining. */
  private static final Map<String, String> OUTCOMES =
      Map.ofEntries(
          Map.entry("failed", FAILED),
          Map.entry("failure", FAILED),
          Map.entry("f", FAILED),
          Map.entry("yes", FAILED),
          Map.entry("true", FAILED),
          Map.entry("1", FAILED),
          Map.entry("sound", SOUND),
          Map.entry("planned", SOUND),
          Map.entry("ok", SOUND),
          Map.entry("s", SOUND),
          Map.entry("no", SOUND),
          Map.entry("false", SOUND),
          Map.entry("0", SOUND),
          Map.entry("running", RUNNING),
          Map.entry("r", RUNNING));

  /** A line as it was read: the run, and whether it still runs. */
  record Line(int line, RunRow run, boolean running) {

    Stint stint() {
      return stint(line, run, running);
    }

    static Stint stint(int line, RunRow r, boolean running) {
      return new Stint(
          line,
          r.pump() + ", " + r.role() + (r.place().isEmpty() ? "" : " " + r.place()),
          r.partSerial(),
          r.fittedOn(),
          running ? Optional.empty() : Optional.of(r.endedOn()),
          r.hours(),
          r.failed());
    }
  }

  /**
   * How a table is to be read.
   *
   * @param columns heading that fills each field
   * @param failedWords words that mean failed, in small letters; empty where the usual ones do
   * @param monthFirst whether 03/01/2026 is the first of March
   */
  record How(Map<HistoryField, String> columns, Set<String> failedWords, boolean monthFirst) {}

  /**
   * What the lines are read against.
   *
   * @param duties fluid of each pump, for lines that name none
   * @param today lines that still run end on it
   */
  record Against(
      Map<String, PumpRow> pumps,
      Map<String, String> duties,
      MaterialLibrary materials,
      LocalDate today) {}

  private final How how;
  private final Against against;
  private final Set<String> otherOutcomes = new TreeSet<>();
  private final List<Fault> faults = new ArrayList<>();

  HistoryLines(How how, Against against) {
    this.how = how;
    this.against = against;
  }

  List<Fault> faults() {
    return faults;
  }

  /** Words for how a run ended that nobody has explained yet. */
  Set<String> otherOutcomes() {
    return otherOutcomes;
  }

  /** The run of a line; empty where something is wrong with it. */
  Optional<Line> line(CsvRow row) {
    int line = row.line();
    int before = faults.size();
    Function<HistoryField, String> at =
        f -> Optional.ofNullable(how.columns().get(f)).map(row::get).orElse("");
    PumpRow pump = against.pumps().get(at.apply(HistoryField.TAG).toUpperCase(Locale.ROOT));
    if (pump == null) {
      fault(line, "No pump is called \"" + at.apply(HistoryField.TAG) + "\".");
      return Optional.empty();
    }
    String role = or(at.apply(HistoryField.ROLE).toLowerCase(Locale.ROOT), pump.role());
    if (!against.materials().knowsRole(role)) {
      fault(line, "\"" + role + "\" is no wear part that the library knows.");
    }
    Optional<Material> material = against.materials().material(at.apply(HistoryField.MATERIAL));
    if (material.isEmpty()) {
      fault(line, "No material is called \"" + at.apply(HistoryField.MATERIAL) + "\".");
    }
    String typedDuty = at.apply(HistoryField.DUTY);
    Optional<Fluid> duty = against.materials().fluid(typedDuty);
    if (!typedDuty.isEmpty() && duty.isEmpty()) {
      fault(line, "No fluid is called \"" + typedDuty + "\".");
    }
    String outcome = outcome(at, line);
    LocalDate today = against.today();
    Optional<LocalDate> fitted = day(at, HistoryField.FITTED_ON, line);
    Optional<LocalDate> ended =
        outcome.equals(RUNNING) ? Optional.of(today) : day(at, HistoryField.ENDED_ON, line);
    if (fitted.isPresent() && ended.isPresent()) {
      if (ended.get().isBefore(fitted.get())) {
        fault(line, "It came out on " + ended.get() + ", before it went in.");
      } else if (ended.get().isAfter(today)) {
        fault(line, "It comes out on " + ended.get() + ", which lies ahead.");
      }
    }
    Optional<Double> hours = hours(at, line);
    if (hours.isPresent() && fitted.isPresent() && ended.isPresent()) {
      long days = ChronoUnit.DAYS.between(fitted.get(), ended.get()) + 1;
      if (days > 0 && hours.get() > days * HOURS_OF_A_DAY) {
        fault(
            line,
            "It would have run "
                + Text.plain(hours.get())
                + " h in "
                + Text.count(days, "day")
                + ".");
      }
    }
    Optional<Double> counts = number(at, HistoryField.COUNTS, line);
    Optional<Double> cameHours = number(at, HistoryField.CAME_HOURS, line);
    Optional<Double> cameCount = number(at, HistoryField.CAME_COUNT, line);
    if (faults.size() > before) {
      return Optional.empty();
    }
    return Optional.of(
        new Line(
            line,
            new RunRow(
                pump.tag(),
                role,
                material.orElseThrow().code(),
                duty.map(Fluid::code).orElse(against.duties().getOrDefault(pump.tag(), "")),
                fitted.orElseThrow(),
                ended.orElseThrow(),
                hours.orElseThrow(),
                outcome.equals(FAILED),
                Text.clipped(at.apply(HistoryField.CAUSE), MOST_CAUSE),
                or(at.apply(HistoryField.UNIT), pump.serial()),
                at.apply(HistoryField.PART_SERIAL),
                at.apply(HistoryField.PLACE),
                or(at.apply(HistoryField.CONSTRUCTION), pump.sheet().orElse("")),
                cameHours.orElse(Double.NaN),
                Code.parse(WearCount.class, at.apply(HistoryField.COUNTED)).orElse(pump.counted()),
                cameCount.orElse(0.0),
                counts.orElse(null),
                Text.clipped(at.apply(HistoryField.NOTE), MOST_NOTE)),
            outcome.equals(RUNNING)));
  }

  /** How it ended; a column of days alone says only that it came out. */
  private String outcome(Function<HistoryField, String> at, int line) {
    String word = at.apply(HistoryField.ENDED).toLowerCase(Locale.ROOT);
    if (how.failedWords().contains(word)) {
      return FAILED;
    }
    String outcome = !how.failedWords().isEmpty() ? SOUND : OUTCOMES.get(word);
    if (word.isEmpty() && at.apply(HistoryField.ENDED_ON).isEmpty()) {
      return RUNNING;
    }
    if (outcome == null) {
      otherOutcomes.add(word);
      fault(
          line,
          word.isEmpty()
              ? "It does not say whether it came out failed or sound."
              : "\"" + word + "\" may be failed or sound: say which words mean failed.");
      return SOUND;
    }
    return word.equals(RUNNING) ? RUNNING : outcome;
  }

  private Optional<LocalDate> day(Function<HistoryField, String> at, HistoryField field, int line) {
    String word = at.apply(field);
    Optional<LocalDate> day = TableValues.day(word, how.monthFirst());
    if (day.isEmpty()) {
      fault(
          line,
          (word.isEmpty() ? "It lacks the " : "\"" + word + "\" is no day for the ")
              + field.say().replaceAll(";.*", "")
              + ".");
    }
    return day;
  }

  private Optional<Double> hours(Function<HistoryField, String> at, int line) {
    if (!at.apply(HistoryField.HOURS).isEmpty()) {
      return number(at, HistoryField.HOURS, line);
    }
    Optional<Double> in = number(at, HistoryField.COUNTER_IN, line);
    Optional<Double> out = number(at, HistoryField.COUNTER_OUT, line);
    if (in.isEmpty() || out.isEmpty()) {
      fault(line, "Give the hours run, or the hour counter at fitting and at removal.");
      return Optional.empty();
    }
    if (out.get() < in.get()) {
      fault(
          line,
          "The hour counter went back from "
              + Text.plain(in.get())
              + " to "
              + Text.plain(out.get())
              + ": give the hours run.");
      return Optional.empty();
    }
    return Optional.of(out.get() - in.get());
  }

  private Optional<Double> number(Function<HistoryField, String> at, HistoryField field, int line) {
    String word = at.apply(field);
    if (word.isEmpty()) {
      return Optional.empty();
    }
    Optional<Double> value = TableValues.number(word).filter(v -> v >= 0);
    if (value.isEmpty()) {
      fault(line, "\"" + word + "\" is no number of " + field.code().replace('_', ' ') + ".");
    }
    return value;
  }

  void fault(int line, String message) {
    faults.add(Fault.inLine(line, message));
  }

  private static String or(String word, String otherwise) {
    return word.isEmpty() ? otherwise : word;
  }
}
