package isokinon.server.work.setup.tables.pumps;

import static isokinon.server.work.setup.tables.SetupColumn.name;
import static isokinon.server.work.setup.tables.SetupColumn.number;
import static isokinon.server.work.setup.tables.SetupColumn.plain;
import static isokinon.server.work.setup.tables.SetupColumn.text;

import isokinon.server.work.setup.names.Names;
import isokinon.server.work.setup.tables.SetupColumn;
import isokinon.server.work.setup.tables.SetupColumn.Holds;
import java.util.List;

/** The columns of past runs, with what people call them in their own books. */
final class RunColumns {

  static final List<SetupColumn> ALL =
      List.of(
          name("tag", "Pump", Names.PUMPS_EVER)
              .must()
              .also("pump tag", "pump", "position", "equipment", "asset"),
          text("role", "Part", 20)
              .atOnce()
              .saying("diaphragm, tube, stator, bushing; nothing: the part that decides when due")
              .also("component", "item"),
          name("material", "Material", Names.MATERIALS)
              .must()
              .also("elastomer", "wet end", "kit material"),
          plain("fitted_on", "It went in", Holds.DAY)
              .must()
              .also("fitted", "installed", "in", "from", "date in", "installed on", "eingebaut"),
          plain("ended_on", "It came out", Holds.DAY)
              .atOnce()
              .saying("nothing while it runs")
              .also("removed", "out", "to", "date out", "removed on", "ausgebaut"),
          number("hours", "Hours run here", "h", 0, 1e6)
              .atOnce()
              .also("hours run", "run hours", "running hours", "life", "age"),
          name("ended", "How it ended", Names.RUN_ENDS)
              .atOnce()
              .saying("failed, sound or running")
              .also("outcome", "result", "status", "failed", "state", "how"),
          text("cause", "Why it came out", 200).atOnce().also("reason", "failure cause", "remark"),
          text("place", "Where in the pump", 40).saying("left or right").also("side", "where"),
          number("counter_in", "Hour counter when it went in", "h", 0, 1e7)
              .also("hours in", "meter in", "counter at fitting"),
          number("counter_out", "Hour counter when it came out", "h", 0, 1e7)
              .also("hours out", "meter out", "counter at removal"),
          number("came_hours", "Hours it had run elsewhere", "h", 0, 1e6).also("hours before"),
          text("part_serial", "Serial of the part", 40).also("serial", "part no", "part number"),
          text("unit", "Serial of the unit", 40).also("unit serial", "pump serial"),
          name("duty", "Fluid pumped", Names.FLUIDS)
              .saying("nothing: the main fluid of the pump today")
              .also("fluid", "duty group", "service", "medium"),
          text("construction", "Construction", 80).saying("a sheet").also("sheet"),
          name("counted", "What is counted", Names.WEAR_COUNTS)
              .saying("hours, strokes, flexes, passes or turns"),
          number("counts", "Counts run here", "", 0, 1e12).also("strokes", "cycles"),
          number("came_count", "Counts it had run elsewhere", "", 0, 1e12),
          text("note", "What else was written", 2000).also("notes", "comment", "comments"));

  private RunColumns() {}
}
