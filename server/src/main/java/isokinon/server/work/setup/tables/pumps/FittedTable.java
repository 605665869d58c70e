package isokinon.server.work.setup.tables.pumps;

import isokinon.core.value.Fault;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.setup.tables.ShopTable;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What stands in the pumps, part by part, with its material and its age. */
@Component
final class FittedTable extends ShopTable {

  private static final double HALF_AN_HOUR = 0.5;

  private static final List<SetupColumn> COLUMNS =
      List.of(
          SetupColumn.name("pump", "Pump", Names.PUMPS).must().also("tag", "position"),
          SetupColumn.text("role", "Part", 20)
              .must()
              .saying("diaphragm, tube, stator, bushing, shaft-seal")
              .also("part", "component", "role"),
          SetupColumn.text("place", "Where", 40)
              .atOnce()
              .saying("left or right; nothing where it stands for all")
              .also("side", "place"),
          SetupColumn.name("material", "Material", Names.MATERIALS).must().also("elastomer"),
          SetupColumn.text("part_serial", "Serial of the part", 40).also("serial", "part no"),
          SetupColumn.plain("fitted_on", "In it since", SetupColumn.Holds.DAY)
              .must()
              .also("fitted", "installed", "eingebaut", "date in"),
          SetupColumn.number("age_hours", "Hours on it", "h", 0, 1e6)
              .must()
              .also("age", "hours", "run hours"));

  private final PumpMapper pumps;
  private final PumpRegister register;
  private final ShopLibrary library;
  private final Clock clock;

  FittedTable(PumpMapper pumps, PumpRegister register, ShopLibrary library, Clock clock) {
    this.pumps = pumps;
    this.register = register;
    this.library = library;
    this.clock = clock;
  }

  @Override
  public SetupTable id() {
    return SetupTable.FITTED_PARTS;
  }

  @Override
  public List<SetupColumn> columns() {
    return COLUMNS;
  }

  @Override
  public List<String> key() {
    return List.of("pump", "role", "place");
  }

  @Override
  public List<Standing> rows() {
    List<Standing> rows = new ArrayList<>();
    Map<String, PumpRow> byTag = new LinkedHashMap<>();
    pumps.all().forEach(p -> byTag.put(p.tag(), p));
    pumps.allFitted().forEach(f -> rows.add(new Standing(row(f, byTag.get(f.pump())), false)));
    return rows;
  }

  private static Map<String, String> row(FittedPartRow f, PumpRow pump) {
    Map<String, String> row = new LinkedHashMap<>();
    row.put("pump", f.pump());
    row.put("role", f.role());
    row.put("place", f.place());
    row.put("material", f.material());
    row.put("part_serial", f.partSerial());
    row.put("fitted_on", f.fittedOn().toString());
    row.put("age_hours", Text.digits(f.age(pump)));
    return row;
  }

  /** What is wrong with a role that no wear part has; empty where one has it. */
  static Optional<Fault> noWearPart(ShopLibrary library, String role) {
    return library.materials().knowsRole(role)
        ? Optional.empty()
        : Optional.of(
            new Fault("role", "\"" + role + "\" is no wear part that the library knows."));
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    List<Fault> faults = new ArrayList<>();
    noWearPart(library, row.get("role")).ifPresent(faults::add);
    if (LocalDate.parse(row.get("fitted_on")).isAfter(LocalDate.now(clock))) {
      faults.add(new Fault("fitted_on", "It did not go in on a day ahead."));
    }
    return faults;
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    PumpRow pump = register.asRead(row.get("pump"));
    Optional<FittedPartRow> there =
        pumps.fitted(pump.tag()).stream()
            .filter(f -> f.role().equals(row.get("role")) && f.place().equals(row.get("place")))
            .findFirst();
    double age = Double.parseDouble(row.get("age_hours"));
    boolean sameAge = there.filter(f -> Math.abs(f.age(pump) - age) < HALF_AN_HOUR).isPresent();
    double here = Math.min(age, pump.runningHours());
    pumps.takeOut(pump.tag(), row.get("role"), row.get("place"));
    pumps.fit(
        new FittedPartRow(
            pump.tag(),
            row.get("role"),
            row.get("place"),
            row.get("part_serial"),
            row.get("material"),
            LocalDate.parse(row.get("fitted_on")),
            sameAge ? there.get().fittedAtHours() : pump.runningHours() - here,
            sameAge ? there.get().cameHours() : age - here,
            sameAge ? there.get().fittedAtCount() : pump.strokes() - here * pump.countsPerHour(),
            sameAge ? there.get().cameCount() : (age - here) * pump.countsPerHour(),
            there.map(FittedPartRow::leading).orElse(false)));
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return register.asRead(row.get("pump")).role().equals(row.get("role"))
            && row.get("place").isEmpty()
        ? Optional.of("It decides when " + row.get("pump") + " is due: change it instead.")
        : Optional.empty();
  }

  @Override
  public void remove(Map<String, String> row) {
    pumps.takeOut(row.get("pump"), row.get("role"), row.get("place"));
  }
}
