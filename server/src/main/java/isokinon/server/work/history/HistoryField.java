package isokinon.server.work.history;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The columns of a table of runs: what each holds, and what people call it in their own tables. */
enum HistoryField {
  TAG("pump tag", "pump", "position", "equipment", "asset"),
  UNIT("serial of the unit in the position", "unit serial", "pump serial"),
  PART_SERIAL("serial of the part", "serial", "part no", "part number"),
  PLACE("where in the pump, as left or right", "side", "where"),
  ROLE("what part: diaphragm, tube, stator, bushing", "part", "component", "item"),
  MATERIAL("material", "elastomer", "wet end", "kit material"),
  DUTY("fluid pumped most of the time", "fluid", "duty group", "service", "medium"),
  CONSTRUCTION("sheet of the construction", "sheet"),
  FITTED_ON("day it went in", "fitted", "installed", "in", "from", "date in", "installed on"),
  ENDED_ON(
      "day it came out; empty while it runs", "removed", "out", "to", "date out", "removed on"),
  HOURS("hours run in this place", "run hours", "running hours", "hours run", "life", "age"),
  COUNTER_IN("hour counter when it went in", "hours in", "meter in", "counter at fitting"),
  COUNTER_OUT("hour counter when it came out", "hours out", "meter out", "counter at removal"),
  CAME_HOURS("hours it had run elsewhere before", "hours before"),
  COUNTED("what is counted: hours, strokes, flexes, passes or turns"),
  COUNTS("counts run in this place", "strokes", "cycles"),
  CAME_COUNT("counts it had run elsewhere before"),
  ENDED("failed, sound or running", "outcome", "result", "status", "failed", "state", "how"),
  CAUSE("why it came out", "reason", "failure cause", "remark"),
  NOTE("what else was written", "notes", "comment", "comments");

  private final String say;
  private final List<String> names;

  HistoryField(String say, String... names) {
    this.say = say;
    this.names = List.of(names);
  }

  String say() {
    return say;
  }

  /** What people call it in their own tables. */
  List<String> names() {
    return names;
  }

  /** The heading of its column in our own tables. */
  String code() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The column of a heading that is called so, by our name or by another. */
  Optional<String> among(List<String> headings) {
    return headings.stream()
        .filter(h -> plain(h).equals(plain(code())))
        .findFirst()
        .or(() -> headings.stream().filter(h -> names.contains(plain(h))).findFirst());
  }

  private static String plain(String heading) {
    return heading.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", " ").strip();
  }
}
