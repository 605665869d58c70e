package isokinon.server.demo;

import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.wetend.Duty.Zone;
import isokinon.server.db.pumps.WetEndRow;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.core.io.ClassPathResource;

/** The tables in {@code library/demo}. */
final class MillTables {

  private MillTables() {}

  /** The lines of a table of the demo. */
  static List<CsvRow> rows(String name) {
    try {
      return CsvTable.read(
              name,
              new InputStreamReader(
                  new ClassPathResource("library/demo/" + name + ".csv").getInputStream(),
                  StandardCharsets.UTF_8),
              List.of())
          .rowsOrThrow();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What stands in the wet end of a pump, and its duty beside the fluids. */
  static WetEndRow wetEnd(CsvRow r) {
    return new WetEndRow(
        r.get("tag"),
        r.get("hardware"),
        r.number("rotor_class_mm"),
        r.get("parts"),
        r.number("stop_cost"),
        r.optional("pressure_bar").orElse(null),
        r.optional("viscosity_mpas").orElse(null),
        r.optional("density").orElse(null),
        r.optional("solids_mm").orElse(null),
        r.optional("solids_pct").orElse(null),
        r.optional("solids_mohs").orElse(null),
        r.optional("ambient_c").orElse(null),
        r.flag("food").orElse(null),
        r.get("zone").isEmpty() ? null : r.code(Zone.class, "zone"),
        r.flag("runs_dry").orElse(null),
        "",
        null,
        r.optional("chloride_mg_l").orElse(null),
        r.optional("ph_low").orElse(null),
        r.optional("ph_high").orElse(null),
        r.optional("chlorine_mg_l").orElse(null));
  }
}
