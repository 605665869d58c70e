package isokinon.server.work.stages;

import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.work.stages.StepView.Pin;
import isokinon.server.work.stages.StepView.PinMark;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Cautions that stay in sight through a step: energies that can kill or crush, and parts that break
 * at a knock. What the step itself says is told beside them, once.
 */
final class PinnedCautions {

  private static final Map<Sheet.Energy, PinMark> PINNED =
      new EnumMap<>(
          Map.of(
              Sheet.Energy.MAINS, PinMark.MAINS,
              Sheet.Energy.MAGNET, PinMark.MAGNET,
              Sheet.Energy.PRESSURE, PinMark.PRESSURE,
              Sheet.Energy.AIR, PinMark.AIR,
              Sheet.Energy.SPRING, PinMark.SPRING,
              Sheet.Energy.WEIGHT, PinMark.WEIGHT));

  private PinnedCautions() {}

  static List<Pin> of(Rebuild rebuild, Handling how, List<Part> parts) {
    List<Pin> pins = new ArrayList<>();
    if (!how.power().isEmpty()) {
      pins.add(
          new Pin(
              PinMark.MAINS,
              "Under power for this step: " + lower(String.join("; ", how.power())) + "."));
    }
    rebuild.sheet().hazards().stream()
        .filter(h -> how.hazards().contains(h.id()) && PINNED.containsKey(h.energy()))
        .filter(h -> how.power().isEmpty() || h.energy() != Sheet.Energy.MAINS)
        .map(h -> new Pin(PINNED.get(h.energy()), h.title() + ": " + h.where() + "."))
        .forEach(pins::add);
    boolean magnets = parts.stream().anyMatch(p -> p.care().contains(Part.Care.MAGNETIC));
    if (magnets && pins.stream().noneMatch(p -> p.mark() == PinMark.MAGNET)) {
      pins.add(
          new Pin(
              PinMark.MAGNET,
              "Magnets: fingers clear, nothing of steel near, nobody with an implant."));
    }
    List<String> brittle =
        parts.stream()
            .filter(p -> p.care().contains(Part.Care.FRAGILE))
            .map(p -> lower(p.name()))
            .toList();
    if (!brittle.isEmpty()) {
      pins.add(
          new Pin(
              PinMark.BRITTLE,
              "Brittle: " + String.join(", ", brittle) + ". No knock, no steel under it."));
    }
    return pins;
  }

  private static String lower(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
  }
}
