package isokinon.core.plan;

import isokinon.core.sheet.Following;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** Plans for everything, each kit, each part, each side and both, by each way and variant. */
final class AskedPlans {

  private AskedPlans() {}

  /**
   * What was asked.
   *
   * @param what in words, with the way
   * @param followed the sheet by that way
   */
  record Asked(String what, Sheet followed) {}

  /** Plans of a shipped sheet are made once, whoever looks at them. */
  private static final Map<String, Map<Asked, Plan>> MADE = new ConcurrentHashMap<>();

  static Map<Asked, Plan> of(Sheet sheet) {
    return MADE.computeIfAbsent(sheet.id(), id -> made(sheet));
  }

  private static Map<Asked, Plan> made(Sheet sheet) {
    Map<Asked, Plan> plans = new LinkedHashMap<>();
    List<List<String>> ways = new ArrayList<>();
    ways.add(List.of());
    sheet.schools().stream()
        .flatMap(s -> s.ways().stream())
        .filter(w -> !w.standard())
        .map(School.Way::id)
        .forEach(w -> ways.add(List.of(w)));
    for (List<String> way : ways) {
      Sheet followed = sheet.by(new Following(way, "", ""));
      wishes(followed)
          .forEach(
              (what, parts) ->
                  plans.put(
                      new Asked(what + " " + way, followed),
                      new Planner().plan(followed, PlanRequest.of(parts, List.of()))));
    }
    return plans;
  }

  private static Map<String, List<String>> wishes(Sheet sheet) {
    Set<String> comesOff = new HashSet<>();
    sheet.steps().forEach(s -> comesOff.addAll(s.opens()));
    List<Part> off = sheet.parts().stream().filter(p -> comesOff.contains(p.id())).toList();
    Map<String, List<String>> wishes = new LinkedHashMap<>();
    wishes.put("everything", ids(off.stream()));
    for (String side : List.of("A", "B")) {
      List<String> parts =
          ids(off.stream().filter(p -> p.place().map(Part.Place::side).orElse("").equals(side)));
      if (!parts.isEmpty()) {
        wishes.put("side " + side, parts);
      }
    }
    sheet
        .kits()
        .forEach(
            k ->
                wishes.put(
                    "kit " + k.id(),
                    k.parts().keySet().stream().filter(comesOff::contains).toList()));
    off.forEach(p -> wishes.put("part " + p.id(), List.of(p.id())));
    return wishes;
  }

  private static List<String> ids(Stream<Part> parts) {
    return parts.map(Part::id).toList();
  }
}
