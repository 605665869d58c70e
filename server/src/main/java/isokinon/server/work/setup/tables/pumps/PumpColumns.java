package isokinon.server.work.setup.tables.pumps;

import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import java.util.List;

/** The columns of a pump, in the order of its form. */
final class PumpColumns {

  private static final double HOURS_OF_A_DAY = 24;

  static final List<SetupColumn> ALL =
      List.of(
          SetupColumn.text("tag", "Tag", 20)
              .must()
              .saying("the name of the position, as on its plate")
              .also("pump", "position", "pump tag", "equipment", "asset", "pos nr", "pos no"),
          SetupColumn.name("area", "Area", Names.AREAS)
              .must()
              .saying("where it stands; a new one is added")
              .also("department", "bereich", "plant"),
          SetupColumn.name("sheet", "Construction", Names.SHEETS)
              .atOnce()
              .saying("the sheet by which it is rebuilt")
              .also("type", "model", "bauart", "series"),
          SetupColumn.text("serial", "Serial of the unit", 40)
              .atOnce()
              .also("serial", "unit", "serial number", "fabr nr", "pump serial"),
          SetupColumn.text("title", "What it does", 120)
              .must()
              .saying("a few words")
              .also("service", "duty", "description", "purpose", "beschreibung"),
          SetupColumn.number("hours_per_day", "Runs", "h a day", 0, HOURS_OF_A_DAY)
              .must()
              .also("hours a day", "h d", "std tag", "hours per day"),
          SetupColumn.name("material", "Material in it now", Names.MATERIALS)
              .must()
              .saying("of the diaphragm, tube, stator or bushing")
              .also("elastomer", "membran", "wet end material"),
          SetupColumn.number("age_hours", "Hours on it", "h", 0, 1e6)
              .must()
              .saying("of running since it went in")
              .also("age", "hours since change", "running hours of the set"),
          SetupColumn.number("interval_hours", "Interval", "h", 1, 1e6)
              .must()
              .saying("after how many hours it is renewed")
              .also("interval", "change every", "interval h"),
          SetupColumn.name("fluid", "Fluid", Names.FLUIDS)
              .atOnce()
              .saying("most of the time; further ones under Duties")
              .also("medium", "product", "pumped fluid"),
          SetupColumn.number("concentration_pct", "Strength", "%", 0, 100)
              .atOnce()
              .also("concentration", "strength", "percent"),
          SetupColumn.number("temperature_c", "Temperature", "°C", -60, 300)
              .atOnce()
              .also("temp", "temperature", "temp c"),
          SetupColumn.name("family", "Kind of pump", Names.FAMILIES)
              .saying("where no sheet of its construction is written yet"),
          SetupColumn.text("body", "Body", 20)
              .saying("material of the wet housing, as PP or 1.4404")
              .also("body material", "housing", "casing"),
          SetupColumn.number("counter_hours", "Hour counter", "h", 0, 1e7)
              .saying("of the position; hours on the set where it has none")
              .also("counter", "hour meter", "running hours"),
          SetupColumn.plain("read_on", "Counter read on", SetupColumn.Holds.DAY)
              .also("read", "reading date"),
          SetupColumn.number("counts_per_hour", "Counts", "in an hour", 0, 1e6)
              .saying("strokes, flexes or turns; nothing where nobody counts")
              .also("strokes per hour", "strokes h"),
          SetupColumn.name("consequence", "If it fails", Names.CONSEQUENCE)
              .saying("high where people or the environment are harmed"),
          SetupColumn.number("stop_cost", "A stop costs", "", 0, 1e7)
              .saying("by failure, beyond kit and labour")
              .also("stop cost", "downtime cost", "ausfall"),
          SetupColumn.name("abrasion", "Abrasion", Names.ABRASION),
          SetupColumn.number("suction_m", "Suction lift", "m", 0, 10).also("suction lift"),
          SetupColumn.text("series", "Series", 60).saying("as the shop calls the construction"),
          SetupColumn.text("note", "Note", 120).also("remark", "bemerkung", "comment"));

  private PumpColumns() {}
}
