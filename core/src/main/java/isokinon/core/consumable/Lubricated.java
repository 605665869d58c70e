package isokinon.core.consumable;

import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a lubricant does to the parts it meets when a joint is built. It meets what it is put on and
 * all that the same step has in hand: grease for a bearing gets on the seal beside it.
 */
public final class Lubricated {

  /** Where parts are put together, °C. */
  private static final double ROOM_C = 20;

  /** A lubricant is put on as it comes. */
  private static final double UNDILUTED_PCT = 100;

  /**
   * A lubricant that attacks a material at a step.
   *
   * @param row what the library says of the two
   * @param on parts of this material that the sheet has it put on
   * @param near parts of this material that it only gets near to
   */
  public record Attack(Resistance row, List<Part> on, List<Part> near) {

    /** Copies its lists. */
    public Attack {
      on = List.copyOf(on);
      near = List.copyOf(near);
    }
  }

  private final Rebuild rebuild;
  private final Map<String, String> inThePump;

  /**
   * For one job.
   *
   * @param inThePump material by role of what was in the pump, for parts that go back
   */
  public Lubricated(Rebuild rebuild, Map<String, String> inThePump) {
    this.rebuild = rebuild;
    this.inThePump = Map.copyOf(inThePump);
  }

  /**
   * The materials that {@code apply} attacks at {@code step}. A substance or a part of which nobody
   * knows what it is, is left out.
   */
  public List<Attack> attacks(String step, Handling.Apply apply, MaterialLibrary library) {
    return library.fluid(apply.what()).stream()
        .flatMap(
            fluid ->
                byMaterial(step, apply).entrySet().stream()
                    .flatMap(
                        e ->
                            library
                                .resistance(fluid.code(), UNDILUTED_PCT, e.getKey(), ROOM_C)
                                .filter(r -> r.factorAt(ROOM_C) == 0)
                                .map(r -> attack(r, e.getValue(), apply))
                                .stream()))
        .toList();
  }

  private Attack attack(Resistance row, Set<String> parts, Handling.Apply apply) {
    return new Attack(
        row,
        parts(parts.stream().filter(apply.to()::contains).toList()),
        parts(parts.stream().filter(p -> !apply.to().contains(p)).toList()));
  }

  private List<Part> parts(List<String> ids) {
    return ids.stream().flatMap(id -> rebuild.sheet().part(id).stream()).toList();
  }

  private Map<String, Set<String>> byMaterial(String step, Handling.Apply apply) {
    Set<String> met = new LinkedHashSet<>(apply.named());
    rebuild.sheet().step(step).ifPresent(s -> met.addAll(s.opens()));
    Map<String, Set<String>> byMaterial = new LinkedHashMap<>();
    for (Part part : parts(List.copyOf(met))) {
      if (rebuild.present(part)) {
        material(part)
            .ifPresent(
                m -> byMaterial.computeIfAbsent(m, k -> new LinkedHashSet<>()).add(part.id()));
      }
    }
    return byMaterial;
  }

  /** What a part will be made of once it is built. */
  private Optional<String> material(Part part) {
    return part.material()
        .or(
            () ->
                part.role()
                    .flatMap(
                        role ->
                            role.equals(rebuild.fitted().role())
                                ? Optional.of(rebuild.goesIn())
                                : renewed(part, role)
                                    .or(() -> Optional.ofNullable(inThePump.get(role)))));
  }

  private Optional<String> renewed(Part part, String role) {
    return rebuild.material(role).filter(m -> rebuild.renewing().contains(part.id()));
  }
}
