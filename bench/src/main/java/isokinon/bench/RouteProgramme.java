package isokinon.bench;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Variable;

/**
 * The route as a zero-one programme for a general solver: a variable for every step, one for every
 * group of alternatives; asked parts covered, steps closed under what must come before or along,
 * none beside what it excludes.
 */
final class RouteProgramme {

  private final Sheet sheet;
  private final List<String> asked;

  RouteProgramme(Sheet sheet, List<String> asked) {
    this.sheet = sheet;
    this.asked = asked;
  }

  /** Builds and solves it; the minutes of its route. */
  double solve() {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    Map<String, Variable> steps = new HashMap<>();
    for (Step step : sheet.steps()) {
      steps.put(step.id(), model.addVariable(step.id()).binary().weight(step.minutes()));
    }
    for (String part : asked) {
      Expression covered = model.addExpression("part " + part).lower(1);
      sheet.steps().stream()
          .filter(s -> s.frees().contains(part) || s.disturbs().contains(part))
          .forEach(s -> covered.set(steps.get(s.id()), 1));
    }
    for (Step step : sheet.steps()) {
      for (String before : step.after()) {
        needs(model, step.id() + " needs " + before, steps.get(step.id()), steps.get(before));
      }
      for (String along : step.needs()) {
        needs(model, step.id() + " with " + along, steps.get(step.id()), steps.get(along));
      }
      for (String other : step.excludes()) {
        model
            .addExpression(step.id() + " or " + other)
            .upper(1)
            .set(steps.get(step.id()), 1)
            .set(steps.get(other), 1);
      }
      if (!step.afterAny().isEmpty()) {
        Expression any = model.addExpression(step.id() + " any").upper(0);
        any.set(steps.get(step.id()), 1);
        int number = 0;
        for (List<String> group : step.afterAny()) {
          Variable whole = model.addVariable(step.id() + " group " + number++).binary();
          group.forEach(g -> needs(model, whole.getName() + " " + g, whole, steps.get(g)));
          any.set(whole, -1);
        }
      }
    }
    return model.minimise().getValue();
  }

  private static void needs(ExpressionsBasedModel model, String name, Variable a, Variable b) {
    model.addExpression(name).upper(0).set(a, 1).set(b, -1);
  }
}
