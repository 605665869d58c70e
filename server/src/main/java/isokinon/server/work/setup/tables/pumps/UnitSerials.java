package isokinon.server.work.setup.tables.pumps;

import isokinon.core.value.Fault;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.units.SpareUnitMapper;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** A serial is one unit's: it stands in one pump, or on the shelf. */
@Component
final class UnitSerials {

  private final PumpMapper pumps;
  private final SpareUnitMapper units;

  UnitSerials(PumpMapper pumps, SpareUnitMapper units) {
    this.pumps = pumps;
    this.units = units;
  }

  /** Where the unit that a row of a pump names stands already; empty where in no other place. */
  Optional<Fault> fault(Map<String, String> row, Optional<Map<String, String>> before) {
    String serial = row.get("serial");
    if (serial.isEmpty() || before.filter(b -> b.get("serial").equals(serial)).isPresent()) {
      return Optional.empty();
    }
    String tag = row.get("tag");
    if (units.unit(serial).isPresent()) {
      return Optional.of(
          new Fault(
              "serial",
              "Unit " + serial + " is on the shelf: put it in on the page of " + tag + "."));
    }
    return inPump(serial)
        .filter(other -> !other.equals(tag))
        .map(other -> new Fault("serial", stands(serial, other)));
  }

  /** The pump that a unit stands in; empty where in none. */
  Optional<String> inPump(String serial) {
    return pumps.withUnit(serial).stream().findFirst();
  }

  private static String stands(String serial, String tag) {
    return "Unit " + serial + " stands in " + tag + " already.";
  }

  /** Units that two of the pumps name that are told at once. */
  List<Fault> twice(Map<String, Map<String, String>> after, Map<String, Integer> freshLines) {
    Map<String, String> tags = new HashMap<>();
    List<Fault> faults = new ArrayList<>();
    freshLines.forEach(
        (key, line) -> {
          String serial = after.get(key).get("serial");
          String other = serial.isEmpty() ? null : tags.putIfAbsent(serial, key);
          if (other != null) {
            faults.add(Fault.at("serial", line, stands(serial, other)));
          }
        });
    return faults;
  }
}
