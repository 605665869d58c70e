package isokinon.core.sheet;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The sheet as one job follows it: of every school one way is chosen, of every variant the one that
 * stands there, and one material is in the pump. What belongs to another is left out, with every
 * mention of it.
 */
final class WayOfWork {

  private final Set<String> ways;
  private final Following job;
  private final Set<String> parts = new HashSet<>();
  private final Set<String> goesIn = new HashSet<>();
  private final Set<String> steps = new HashSet<>();
  private final Set<String> namesOfSides = new HashSet<>();

  private WayOfWork(Set<String> ways, Following job) {
    this.ways = ways;
    this.job = job;
  }

  /** One way of every school: the chosen one where one is chosen, else the standard one. */
  static Set<String> ways(Sheet sheet, Collection<String> chosen) {
    Set<String> ways = new LinkedHashSet<>();
    for (School school : sheet.allSchools()) {
      ways.add(
          chosen.stream()
              .filter(id -> school.way(id).isPresent())
              .findFirst()
              .orElseGet(() -> school.standard().id()));
    }
    return ways;
  }

  static Sheet of(Sheet sheet, Following job) {
    return new WayOfWork(ways(sheet, job.ways()), job).applied(sheet);
  }

  private Sheet applied(Sheet s) {
    s.parts().stream()
        .filter(p -> p.ways().isEmpty() || p.ways().stream().anyMatch(ways::contains))
        .forEach(p -> parts.add(p.id()));
    s.parts().stream()
        .filter(p -> parts.contains(p.id()))
        .filter(p -> job.goesIn().isEmpty() || p.goesWith(job.goesIn()))
        .forEach(p -> goesIn.add(p.id()));
    s.steps().stream().filter(t -> stands(t.how().onlyFor())).forEach(t -> steps.add(t.id()));
    s.sides().forEach(side -> namesOfSides.addAll(side.names()));
    s.buildOnly().stream().filter(t -> holds(t.how().onlyFor())).forEach(t -> steps.add(t.id()));
    s.buildOnly().stream()
        .filter(t -> !stillCalledFor(t.calledFor()))
        .forEach(t -> steps.remove(t.id()));
    return new Sheet(
        s.id(),
        s.title(),
        s.family(),
        s.revision(),
        s.note(),
        s.manual(),
        s.startPose(),
        s.lines(),
        s.parts().stream().filter(p -> parts.contains(p.id())).toList(),
        s.steps().stream().filter(t -> steps.contains(t.id())).map(this::step).toList(),
        s.buildOnly().stream().filter(t -> steps.contains(t.id())).map(this::buildOnly).toList(),
        s.kits().stream().filter(k -> holds(k.onlyFor())).map(this::kit).toList(),
        s.proof().stream().filter(t -> holds(t.onlyFor())).map(this::proofTest).toList(),
        s.hazards().stream().filter(h -> stands(h.onlyFor())).toList(),
        s.schools(),
        s.orders().stream()
            .filter(o -> o.stripping() ? stands(o.onlyFor()) : holds(o.onlyFor()))
            .map(this::order)
            .toList(),
        s.sides().stream()
            .map(side -> new Sides(side.id(), kept(side.a()), kept(side.b())))
            .toList(),
        s.hardware(),
        s.rounds().stream().filter(r -> stands(r.onlyFor())).toList(),
        s.compared(),
        s.stator(),
        s.coupling());
  }

  /** Whether it holds for what is put together: with the material that goes in. */
  private boolean holds(OnlyFor onlyFor) {
    return onlyFor.holdsIn(ways) && onlyFor.holdsWith(job.goesIn());
  }

  /** Whether it holds for what is taken apart: with the material that stands there. */
  private boolean stands(OnlyFor onlyFor) {
    return onlyFor.holdsIn(ways) && onlyFor.holdsWith(job.stands());
  }

  private boolean holds(Handling.When when, OnlyFor onlyFor) {
    return (when.shown(true) && stands(onlyFor)) || (when.shown(false) && holds(onlyFor));
  }

  /** Whether anything is left of what calls for it. */
  private boolean stillCalledFor(CalledFor c) {
    return c.byItsPlace() || !calledFor(c).byItsPlace();
  }

  private CalledFor calledFor(CalledFor c) {
    return new CalledFor(
        there(c.renewed()), there(c.off()), there(c.back()), kept(c.steps()), kept(c.without()));
  }

  private Step step(Step s) {
    List<Step.OwnWay> own = s.byWay().stream().filter(w -> holds(w.onlyFor())).toList();
    return new Step(
        s.id(),
        own.stream().flatMap(w -> w.strip().stream()).findFirst().orElse(s.strip()),
        own.stream().flatMap(w -> w.build().stream()).findFirst().orElse(s.build()),
        there(s.frees()),
        there(s.aside()),
        there(s.disturbs()),
        kept(s.after()),
        s.afterAny().stream().filter(steps::containsAll).toList(),
        kept(s.needs()),
        kept(s.excludes()),
        s.stripOnly(),
        own.stream().flatMap(w -> w.stripMinutes().stream()).findFirst().orElse(s.stripMinutes()),
        own.stream().flatMap(w -> w.buildMinutes().stream()).findFirst().orElse(s.buildMinutes()),
        s.learnedJobs(),
        s.route(),
        List.of(),
        handling(s.how(), own));
  }

  private BuildOnlyStep buildOnly(BuildOnlyStep b) {
    return new BuildOnlyStep(
        b.id(),
        b.build(),
        kept(b.after()),
        kept(b.before()),
        calledFor(b.calledFor()),
        there(b.beside()),
        b.buildMinutes(),
        b.waitMinutes(),
        handling(b.how(), List.of()));
  }

  private Handling handling(Handling h, List<Step.OwnWay> own) {
    Handling.Apart stripping = h.stripping();
    Handling.Apart building = h.building();
    for (Step.OwnWay way : own) {
      stripping = way.stripping().or(stripping);
      building = way.building().or(building);
    }
    return new Handling(
        h.pose(),
        h.tools(),
        h.hazards(),
        h.cautions().stream().filter(c -> holds(c.when(), c.onlyFor())).toList(),
        h.fastenings().stream().filter(f -> holds(f.onlyFor())).toList(),
        h.apply().stream().filter(a -> holds(a.onlyFor())).map(this::apply).toList(),
        h.checks().stream().filter(c -> holds(c.when(), c.onlyFor())).toList(),
        h.power(),
        h.turn(),
        h.onlyFor(),
        stripping,
        building);
  }

  private Handling.Apply apply(Handling.Apply a) {
    return new Handling.Apply(a.what(), there(a.to()), there(a.reaches()), a.amount(), a.onlyFor());
  }

  private Sheet.Kit kit(Sheet.Kit k) {
    Map<String, Integer> held = new LinkedHashMap<>(k.parts());
    held.keySet().retainAll(goesIn);
    return new Sheet.Kit(k.id(), k.title(), held, k.supplies(), k.onlyFor());
  }

  private Sheet.ProofTest proofTest(Sheet.ProofTest t) {
    return new Sheet.ProofTest(
        t.id(),
        t.ask(),
        t.kind(),
        t.unit(),
        t.min(),
        t.max(),
        t.clockSeconds(),
        kept(t.backTo()),
        t.runs(),
        t.rpm(),
        t.againHours(),
        t.afterWaits(),
        t.beforeStart(),
        t.hazards(),
        t.cautions(),
        t.shows(),
        t.source(),
        t.onlyFor());
  }

  private StepOrder order(StepOrder o) {
    return new StepOrder(kept(o.steps()), o.stripping(), o.because(), o.onlyFor());
  }

  private List<String> there(List<String> ids) {
    return ids.stream().filter(parts::contains).toList();
  }

  private List<String> kept(List<String> ids) {
    return ids.stream().filter(id -> steps.contains(id) || namesOfSides.contains(id)).toList();
  }

  /** The way of {@code school} that is followed when {@code chosen} are chosen. */
  static School.Way followed(School school, Collection<String> chosen) {
    return chosen.stream()
        .map(school::way)
        .flatMap(Optional::stream)
        .findFirst()
        .orElseGet(school::standard);
  }
}
