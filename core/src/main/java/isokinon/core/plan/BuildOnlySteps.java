package isokinon.core.plan;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.CalledFor;
import isokinon.core.sheet.Sheet;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Which of the steps that only building has belong to a plan. */
final class BuildOnlySteps {

  private final Sheet sheet;
  private final Set<String> planned;
  private final Set<String> off = new HashSet<>();

  /**
   * @param stripped steps of the plan, ids
   */
  BuildOnlySteps(Sheet sheet, List<String> stripped) {
    this.sheet = sheet;
    this.planned = new HashSet<>(stripped);
    stripped.forEach(id -> sheet.step(id).ifPresent(s -> off.addAll(s.opens())));
  }

  /**
   * Those whose parts are renewed, come off or go back, or whose steps are there; of those that
   * name nothing of it, the ones that stand before or after a step of the plan, or name no step at
   * all.
   */
  List<BuildOnlyStep> of(List<Plan.Renewal> renewals) {
    Set<String> renewed = renewals.stream().map(Plan.Renewal::part).collect(Collectors.toSet());
    Set<String> built = new HashSet<>(planned);
    boolean grew = !planned.isEmpty();
    while (grew) {
      grew = false;
      for (BuildOnlyStep extra : sheet.buildOnly()) {
        grew |=
            !built.contains(extra.id())
                && calledFor(extra, built, renewed)
                && built.add(extra.id());
      }
    }
    return sheet.buildOnly().stream().filter(b -> built.contains(b.id())).toList();
  }

  private boolean calledFor(BuildOnlyStep extra, Set<String> built, Set<String> renewed) {
    CalledFor c = extra.calledFor();
    if (anyOf(c.without(), planned)) {
      return false;
    }
    if (!c.byItsPlace()) {
      return c.renewed().stream().anyMatch(renewed::contains)
          || c.off().stream().anyMatch(off::contains)
          || c.back().stream().anyMatch(p -> goesBack(p, renewed))
          || anyOf(c.steps(), built);
    }
    return (extra.after().isEmpty() && extra.before().isEmpty())
        || anyOf(extra.after(), built)
        || anyOf(extra.before(), built);
  }

  private boolean goesBack(String part, Set<String> renewed) {
    return off.contains(part)
        && !renewed.contains(part)
        && sheet.part(part).filter(p -> !p.oneTime()).isPresent();
  }

  private boolean anyOf(Collection<String> ids, Set<String> there) {
    return ids.stream().flatMap(id -> sheet.named(id, planned).stream()).anyMatch(there::contains);
  }
}
