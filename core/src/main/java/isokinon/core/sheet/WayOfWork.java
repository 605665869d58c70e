package isokinon.core.sheet;

import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The sheet as one job follows it: of every school one way is chosen, and what belongs to another
 * way is left out, with every mention of it.
 */
final class WayOfWork {

  private final Set<String> ways;
  private final Set<String> steps = new HashSet<>();

  private WayOfWork(Set<String> ways) {
    this.ways = ways;
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

  static Sheet of(Sheet sheet, Collection<String> chosen) {
    return new WayOfWork(ways(sheet, chosen)).applied(sheet);
  }

  private Sheet applied(Sheet s) {
    s.steps().stream().filter(t -> holds(t.how().way())).forEach(t -> steps.add(t.id()));
    s.buildOnly().stream().filter(t -> holds(t.how().way())).forEach(t -> steps.add(t.id()));
    return new Sheet(
        s.id(),
        s.title(),
        s.family(),
        s.revision(),
        s.note(),
        s.startPose(),
        s.lines(),
        s.parts(),
        s.steps().stream().filter(t -> steps.contains(t.id())).map(this::step).toList(),
        s.buildOnly().stream().filter(t -> steps.contains(t.id())).map(this::buildOnly).toList(),
        s.kits(),
        s.proof(),
        s.hazards(),
        s.schools(),
        s.hardware(),
        s.stator(),
        s.coupling());
  }

  private boolean holds(String way) {
    return way.isEmpty() || ways.contains(way);
  }

  private Step step(Step s) {
    return new Step(
        s.id(),
        s.strip(),
        s.build(),
        s.frees(),
        s.disturbs(),
        kept(s.after()),
        s.afterAny().stream().filter(steps::containsAll).toList(),
        s.stripMinutes(),
        s.buildMinutes(),
        s.learnedJobs(),
        s.route(),
        handling(s.how()));
  }

  private BuildOnlyStep buildOnly(BuildOnlyStep b) {
    return new BuildOnlyStep(
        b.id(),
        b.build(),
        kept(b.after()),
        kept(b.before()),
        b.with(),
        b.beside(),
        b.buildMinutes(),
        b.waitMinutes(),
        handling(b.how()));
  }

  private Handling handling(Handling h) {
    return new Handling(
        h.pose(),
        h.tools(),
        h.hazards(),
        h.cautions().stream().filter(c -> holds(c.way())).toList(),
        h.fastening().filter(f -> holds(f.way())),
        h.apply().stream().filter(a -> holds(a.way())).toList(),
        h.checks().stream().filter(c -> holds(c.way())).toList(),
        h.way(),
        h.power());
  }

  private List<String> kept(List<String> ids) {
    return ids.stream().filter(steps::contains).toList();
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
