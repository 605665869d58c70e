package isokinon.server.work.rebuild;

import isokinon.core.act.Stage;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** How a pump stands, in the few words of the tag that hangs on it. */
public final class StateTag {

  private StateTag() {}

  public static String of(Rebuild rebuild) {
    List<String> words = new ArrayList<>();
    words.add(
        switch (rebuild.stage()) {
          case TAKE_IN -> "not begun";
          case MAKE_SAFE -> "not yet safe";
          case STRIP -> rebuild.stripped().isEmpty() ? "safe, still whole" : "part stripped";
          case INSPECT, DECIDE -> "stripped";
          case BUILD -> rebuild.built().isEmpty() ? "stripped" : "part built";
          case PROVE -> "built, not proved";
          case HAND_BACK -> "proved";
          case CLOSED -> "handed back";
        });
    if (rebuild.stage().compareTo(Stage.STRIP) >= 0
        && rebuild.stage().compareTo(Stage.BUILD) <= 0) {
      words.addAll(out(rebuild));
    }
    if (rebuild.sideToCome()) {
      words.add("side B to come");
    } else if (!rebuild.everythingBuilt().equals(rebuild.built())) {
      words.add("side A closed");
    }
    rebuild.pause().ifPresent(p -> words.add("waiting for " + p.act().waitsFor()));
    return String.join(", ", words);
  }

  /** Sections of which every part the plan takes off is off. */
  private static List<String> out(Rebuild rebuild) {
    Set<String> off = rebuild.off();
    List<String> planned = rebuild.plan().map(Plan::freed).orElse(List.of());
    List<String> out = new ArrayList<>();
    for (Part.Section section : Part.Section.values()) {
      List<String> parts =
          rebuild.sheet().parts().stream()
              .filter(p -> p.section() == section && planned.contains(p.id()))
              .map(Part::id)
              .toList();
      if (!parts.isEmpty() && off.containsAll(parts)) {
        out.add(
            switch (section) {
              case WET -> "wet end out";
              case AIR -> "air side open";
              case DRIVE -> "drive end out";
              case FRAME -> "frame open";
            });
      }
    }
    return out;
  }
}
