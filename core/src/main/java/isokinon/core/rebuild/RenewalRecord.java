package isokinon.core.rebuild;

import isokinon.core.plan.Plan;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;

/** What is renewed, in which material and from which lot. */
final class RenewalRecord {

  private final Supplier<Sheet> sheet;
  private final Fitted fitted;
  private final Predicate<String> asked;
  private final Map<String, String> chosen = new LinkedHashMap<>();
  private final Map<String, String> lots = new LinkedHashMap<>();
  private final List<Plan.Renewal> earlier = new ArrayList<>();
  private boolean sentBack;

  RenewalRecord(Supplier<Sheet> sheet, Fitted fitted, Predicate<String> asked) {
    this.sheet = sheet;
    this.fitted = fitted;
    this.asked = asked;
  }

  void choose(String role, String material) {
    chosen.put(role, material);
  }

  void book(String lot, List<String> parts) {
    parts.forEach(part -> lots.put(part, lot));
  }

  /** What the plan renews is done, and the pump is opened once more. */
  void keep(Plan plan) {
    earlier.addAll(of(Optional.of(plan)));
  }

  /** The job came back from the proof: what went in then stands in the pump. */
  void sendBack() {
    sentBack = true;
  }

  boolean sentBack() {
    return sentBack;
  }

  List<Plan.Renewal> of(Optional<Plan> plan) {
    Map<String, Plan.Renewal> planned = new HashMap<>();
    plan.ifPresent(p -> p.renew().forEach(r -> planned.put(r.part(), r)));
    List<String> freed = plan.map(Plan::freed).orElse(List.of());
    List<Plan.Renewal> renewals = new ArrayList<>();
    for (Part part : sheet.get().parts()) {
      if (!part.goesWith(goesIn())) {
        continue;
      }
      if (planned.containsKey(part.id())) {
        renewals.add(planned.get(part.id()));
      } else if (freed.contains(part.id()) && !part.goesWith(fitted.material())) {
        renewals.add(
            new Plan.Renewal(
                part.id(),
                part.count(),
                Plan.Renewal.Reason.MATERIAL_NEEDS_IT,
                goesIn() + " goes in and needs it"));
      }
    }
    return renewals;
  }

  List<Plan.Renewal> inAll(Optional<Plan> plan) {
    Map<String, Plan.Renewal> parts = new LinkedHashMap<>();
    earlier.forEach(r -> parts.put(r.part(), r));
    of(plan).forEach(r -> parts.putIfAbsent(r.part(), r));
    return List.copyOf(parts.values());
  }

  /** Parts that come off by a plan and are to be judged. */
  List<String> toInspect(Plan plan) {
    Set<String> byKit = new LinkedHashSet<>();
    plan.renew().stream().filter(Plan.Renewal::byKit).forEach(r -> byKit.add(r.part()));
    return sheet.get().parts().stream()
        .filter(p -> plan.freed().contains(p.id()) && p.renew() == Part.Renew.INSPECT)
        .filter(p -> p.goesWith(sentBack ? goesIn() : fitted.material()))
        .map(Part::id)
        .filter(p -> !asked.test(p) && !byKit.contains(p))
        .toList();
  }

  Optional<String> material(String role) {
    return Optional.ofNullable(chosen.get(role));
  }

  String goesIn() {
    return material(fitted.role()).orElse(fitted.material());
  }

  Optional<String> lot(String part) {
    return Optional.ofNullable(lots.get(part));
  }

  boolean present(Part part) {
    return part.goesWith(goesIn());
  }
}
