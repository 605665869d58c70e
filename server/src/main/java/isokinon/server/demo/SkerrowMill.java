package isokinon.server.demo;

import isokinon.core.counter.WearCount;
import isokinon.core.person.PersonRole;
import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.table.CsvRow;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.FluidUse;
import isokinon.server.access.Pins;
import isokinon.server.access.ShownPins;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpEnergyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rounds.RoundDoneRow;
import isokinon.server.db.rounds.RoundMapper;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.db.shop.PersonRow;
import isokinon.server.db.shop.WrenchRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.folder.DataFolder;
import isokinon.server.folder.DemoMark;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.shared.ShopCurrency;
import isokinon.server.work.shared.ShopSettings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Fills an empty database with Skerrow Mill, a made-up wool scour and dyehouse. Pumps, duties, lots
 * and people stand in {@code library/demo}; the history is simulated by {@link SimulatedHistory}
 * from the truth stated there. Dates count back from today, so that something is always due.
 */
@Component
@ConditionalOnProperty(name = "isokinon.demo", havingValue = "true")
public class SkerrowMill {

  private static final String NAME = "Skerrow Mill";
  private static final List<String> AREAS = List.of("Scour", "Dye", "Bleach", "Effluent");

  private final PumpMapper pumps;
  private final StoresMapper stores;
  private final MillShelves shelves;
  private final WetEndMapper wetEnds;
  private final FindingMapper findings;
  private final CounterMapper counters;
  private final DiaryMapper diary;
  private final RoundMapper rounds;
  private final SetupMapper setup;
  private final Sheets sheets;
  private final ShopSettings settings;
  private final Pins pins;
  private final ShownPins shownPins;
  private final ObjectProvider<DataFolder> folder;
  private final Clock clock;

  SkerrowMill(
      PumpMapper pumps,
      StoresMapper stores,
      MillShelves shelves,
      WetEndMapper wetEnds,
      FindingMapper findings,
      CounterMapper counters,
      DiaryMapper diary,
      RoundMapper rounds,
      SetupMapper setup,
      Sheets sheets,
      ShopSettings settings,
      Pins pins,
      ShownPins shownPins,
      ObjectProvider<DataFolder> folder,
      Clock clock) {
    this.folder = folder;
    this.pumps = pumps;
    this.stores = stores;
    this.shelves = shelves;
    this.wetEnds = wetEnds;
    this.findings = findings;
    this.counters = counters;
    this.diary = diary;
    this.rounds = rounds;
    this.setup = setup;
    this.sheets = sheets;
    this.settings = settings;
    this.pins = pins;
    this.shownPins = shownPins;
    this.clock = clock;
  }

  /** Loads the demo where the database holds no pump yet. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(2)
  @Transactional
  public void load() {
    // one in which somebody has begun a shop of their own is left as it is
    boolean empty = pumps.count() == 0 && stores.people().isEmpty();
    if (empty) {
      fill();
    }
    // a shop of somebody's own lets nobody in whose PIN stands on a page
    if (empty || settings.name().equals(NAME)) {
      letEverybodyIn();
      mark();
    }
  }

  private void mark() {
    folder.ifAvailable(
        f -> {
          try {
            DemoMark.set(f.path());
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }

  /**
   * The mill is made up, so its sign-in page shows the PINs of its four people; a PIN that somebody
   * changed in a kept folder is not shown.
   */
  private void letEverybodyIn() {
    Set<String> withPin = pins.whoHaveOne();
    for (CsvRow r : MillTables.rows("people")) {
      String initials = r.get("initials");
      String pin = r.get("pin");
      if (!withPin.contains(initials)) {
        pins.setShown(initials, pin);
      } else if (pins.is(initials, pin)) {
        shownPins.show(initials, pin);
      }
    }
  }

  private void fill() {
    LocalDate today = LocalDate.now(clock);
    settings.name(NAME, "");
    settings.currency(new ShopCurrency("GBP"), "");
    for (String area : AREAS) {
      setup.put(
          "area",
          List.of("name"),
          List.of("name", "position"),
          List.of(area, Integer.toString(AREAS.indexOf(area))));
    }
    MillTables.rows("people")
        .forEach(
            r ->
                stores.addPerson(
                    new PersonRow(
                        r.get("initials"),
                        r.code(PersonRole.class, "role"),
                        Boolean.parseBoolean(r.get("licensed_electrical")),
                        null)));
    MillTables.rows("crib").forEach(r -> stores.addWrench(wrench(r, today)));
    MillTables.rows("gauges").forEach(r -> findings.addGauge(gauge(r, today)));
    shelves.load(today);
    Map<String, List<SimulatedHistory.Era>> truth = new LinkedHashMap<>();
    MillTables.rows("truth")
        .forEach(r -> truth.computeIfAbsent(r.get("tag"), t -> new ArrayList<>()).add(era(r)));
    Map<String, List<CsvRow>> exposures = new LinkedHashMap<>();
    MillTables.rows("exposures")
        .forEach(r -> exposures.computeIfAbsent(r.get("tag"), t -> new ArrayList<>()).add(r));
    for (CsvRow row : MillTables.rows("pumps")) {
      String tag = row.get("tag");
      add(row, truth.get(tag), exposures.getOrDefault(tag, List.of()), today);
    }
    MillTables.rows("wet-ends").forEach(r -> wetEnds.add(MillTables.wetEnd(r)));
    MillTables.rows("rounds").forEach(r -> rounds.add(roundDone(r)));
    MillTables.rows("energies")
        .forEach(
            r -> pumps.addEnergy(new PumpEnergyRow(r.get("tag"), r.get("hazard"), r.get("place"))));
    diary(today);
  }

  private void diary(LocalDate today) {
    MillTables.rows("shifts")
        .forEach(
            r ->
                diary.addShift(
                    new DiaryMapper.ShiftRow(
                        r.get("who"),
                        Integer.parseInt(r.get("weekday")),
                        minute(r.get("from")),
                        minute(r.get("to")),
                        r.flag("overtime").orElse(false))));
    MillTables.rows("fixtures")
        .forEach(
            r ->
                diary.addFixture(
                    new DiaryMapper.FixtureRow(
                        r.get("fixture"),
                        r.get("title"),
                        Integer.parseInt(r.get("pieces")),
                        r.get("families"))));
    MillTables.rows("line-stops")
        .forEach(
            r -> {
              // The first such weekday from so many days on: a mill stops on its own weekdays.
              LocalDate day =
                  today
                      .plusDays(Long.parseLong(r.get("from_days")))
                      .with(
                          TemporalAdjusters.nextOrSame(
                              DayOfWeek.of(Integer.parseInt(r.get("weekday")))));
              diary.addStop(
                  new DiaryMapper.LineStopRow(
                      r.get("line"),
                      r.get("title"),
                      moment(day, r.get("from")),
                      moment(day, r.get("to"))));
            });
    MillTables.rows("pump-rules")
        .forEach(
            r ->
                diary.addRule(
                    new DiaryMapper.PumpRuleRow(r.get("tag"), r.get("line"), r.get("pair"))));
  }

  private static int minute(String clock) {
    return LocalTime.parse(clock).toSecondOfDay() / 60;
  }

  private OffsetDateTime moment(LocalDate day, String time) {
    return day.atTime(LocalTime.parse(time)).atZone(clock.getZone()).toOffsetDateTime();
  }

  private void add(
      CsvRow row, List<SimulatedHistory.Era> truth, List<CsvRow> exposures, LocalDate today) {
    String fluid = exposures.isEmpty() ? "" : exposures.get(0).get("fluid");
    double interval = row.number("interval_h");
    Optional<Integer> readDaysAgo =
        Optional.of(row.get("read_days_ago")).filter(d -> !d.isEmpty()).map(Integer::parseInt);
    SimulatedHistory history =
        SimulatedHistory.of(
            row.get("tag"),
            new SimulatedHistory.Wearing(
                row.get("role"),
                fluid,
                row.get("serial"),
                row.get("sheet"),
                WearCount.of(row.code(Family.class, "family")),
                row.number("strokes_per_h")),
            truth,
            row.number("hours_per_day"),
            row.number("age_share") * interval,
            today);
    double read = history.hoursNow() - readDaysAgo.orElse(0) * row.number("hours_per_day");
    double perHour = row.number("strokes_per_h");
    pumps.add(
        new PumpRow(
            row.get("tag"),
            row.get("area"),
            AREAS.indexOf(row.get("area")),
            row.code(Family.class, "family"),
            row.get("series"),
            row.get("serial"),
            row.get("sheet").isEmpty() ? null : row.get("sheet"),
            row.get("title"),
            row.get("note"),
            row.get("role"),
            truth.get(truth.size() - 1).material(),
            row.get("body"),
            read,
            read * perHour,
            row.number("hours_per_day"),
            interval,
            row.code(Abrasion.class, "abrasion"),
            row.number("suction_m"),
            row.code(Consequence.class, "consequence"),
            history.fittedOn(),
            history.hoursNow() - history.ageNow(),
            row.get("plan_days").isEmpty()
                ? null
                : today.plusDays(Long.parseLong(row.get("plan_days"))),
            perHour,
            readDaysAgo.map(today::minusDays).orElse(null),
            "",
            0,
            0,
            (history.hoursNow() - history.ageNow()) * perHour,
            ""));
    readDaysAgo.ifPresent(
        days ->
            PastCounters.of(
                    row.get("tag"), read, row.number("hours_per_day"), today.minusDays(days))
                .forEach(counters::add));
    for (int i = 0; i < exposures.size(); i++) {
      CsvRow e = exposures.get(i);
      pumps.addExposure(
          new ExposureRow(
              row.get("tag"),
              i + 1,
              e.get("fluid"),
              e.number("concentration_pct"),
              e.number("temperature_c"),
              e.number("share"),
              e.get("note"),
              e.optional("usual_c").orElse(null),
              e.code(FluidUse.class, "kind")));
    }
    history.runs().forEach(pumps::addRun);
    PumpRow added = pumps.byTag(row.get("tag")).orElseThrow();
    added
        .sheet()
        .flatMap(sheets::find)
        .map(
            s ->
                new PastReadings(
                    added, s, history.runs(), findings.gauges(), OffsetDateTime.now(clock)))
        .ifPresent(
            past -> {
              past.readings().forEach(findings::addReading);
              past.causes(truth).forEach(findings::addCause);
            });
  }

  /** When a round was done last, and the hour counter then. */
  private RoundDoneRow roundDone(CsvRow r) {
    PumpRow pump = pumps.byTag(r.get("tag")).orElseThrow();
    long daysAgo = Long.parseLong(r.get("days_ago"));
    return new RoundDoneRow(
        pump.tag(),
        r.get("round"),
        OffsetDateTime.now(clock).minusDays(daysAgo),
        Math.max(0, pump.runningHours() - daysAgo * pump.hoursPerDay()),
        r.get("who"),
        "",
        "demo-" + pump.tag() + "-" + r.get("round"));
  }

  private static SimulatedHistory.Era era(CsvRow r) {
    return new SimulatedHistory.Era(
        Integer.parseInt(r.get("from_days_ago")),
        r.get("material"),
        r.number("shape"),
        r.number("scale_h"),
        r.number("interval_h"),
        r.get("cause"),
        r.get("cause_id"));
  }

  private static GaugeRow gauge(CsvRow r, LocalDate today) {
    return new GaugeRow(
        r.get("gauge"),
        r.get("kind"),
        r.get("title"),
        r.get("unit"),
        r.number("resolution"),
        r.number("uncertainty"),
        r.get("measures"),
        today.plusDays(Long.parseLong(r.get("calibrated_days"))));
  }

  private static WrenchRow wrench(CsvRow r, LocalDate today) {
    return new WrenchRow(
        r.get("wrench"),
        r.number("min_nm"),
        r.number("max_nm"),
        today.plusDays(Long.parseLong(r.get("calibrated_days"))),
        Boolean.parseBoolean(r.get("clicks")));
  }
}
