package isokinon.bench;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CircuitConstraint;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import isokinon.core.plan.Planner.OrderQuestions;
import isokinon.core.plan.order.OrderProblem;
import isokinon.core.plan.order.OrderProblem.Item;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The whole question of a plan given to a general constraint solver: the route of fewest minutes,
 * then the strip and the build in the order of fewest pose changes and, among those, fewest tool
 * changes.
 *
 * <p>The route is a zero-one programme over the steps. An order is a circuit through the steps and
 * one place where it begins and ends; along every arc the pose and the tool in the hand are carried
 * on, since a step may leave both as they are.
 */
final class WholeQuestion {

  /** Most seconds for one of the three; what is found until then counts. */
  private static final double SECONDS = 30;

  /** A pose change outweighs every tool change. */
  private static final int POSE = 1 << 12;

  /** Minutes in a sheet have two decimals at most. */
  private static final int PARTS_OF_A_MINUTE = 100;

  static {
    Loader.loadNativeLibraries();
  }

  /**
   * What the solver says.
   *
   * @param minutes of the route
   * @param strip of the strip
   * @param build of the build
   */
  record Answer(double minutes, Changes strip, Changes build) {}

  /**
   * Changes along an order.
   *
   * @param poses changes of pose
   * @param tools changes of tool
   * @param proved whether the solver proved that none has fewer
   */
  record Changes(int poses, int tools, boolean proved) {}

  private final Sheet sheet;
  private final List<String> asked;
  private final OrderQuestions orders;

  WholeQuestion(Sheet sheet, List<String> asked, OrderQuestions orders) {
    this.sheet = sheet;
    this.asked = asked;
    this.orders = orders;
  }

  /** Builds and solves the three, one after the other. */
  Answer solve() {
    return new Answer(route(), order(orders.strip()), order(orders.build()));
  }

  private static CpSolver solver() {
    CpSolver solver = new CpSolver();
    solver.getParameters().setMaxTimeInSeconds(SECONDS);
    solver.getParameters().setNumWorkers(Runtime.getRuntime().availableProcessors());
    return solver;
  }

  private double route() {
    CpModel model = new CpModel();
    Map<String, BoolVar> steps = new HashMap<>();
    LinearExprBuilder minutes = LinearExpr.newBuilder();
    for (Step step : sheet.steps()) {
      BoolVar taken = model.newBoolVar(step.id());
      steps.put(step.id(), taken);
      minutes.addTerm(taken, Math.round(step.minutes() * PARTS_OF_A_MINUTE));
    }
    for (String part : asked) {
      model.addBoolOr(
          sheet.steps().stream()
              .filter(s -> s.frees().contains(part) || s.disturbs().contains(part))
              .map(s -> (Literal) steps.get(s.id()))
              .toList());
    }
    for (Step step : sheet.steps()) {
      BoolVar taken = steps.get(step.id());
      step.after().forEach(before -> model.addImplication(taken, steps.get(before)));
      step.needs().forEach(along -> model.addImplication(taken, steps.get(along)));
      step.excludes().forEach(other -> model.addImplication(taken, steps.get(other).not()));
      if (!step.afterAny().isEmpty()) {
        List<Literal> any = new ArrayList<>(List.of(taken.not()));
        for (List<String> group : step.afterAny()) {
          BoolVar whole = model.newBoolVar("group");
          group.forEach(g -> model.addImplication(whole, steps.get(g)));
          any.add(whole);
        }
        model.addBoolOr(any);
      }
    }
    model.minimize(minutes);
    CpSolver solver = solver();
    if (solver.solve(model) != CpSolverStatus.OPTIMAL) {
      throw new IllegalStateException(sheet.id() + ": the route was not proved");
    }
    return solver.objectiveValue() / PARTS_OF_A_MINUTE;
  }

  private static Changes order(OrderProblem problem) {
    int n = problem.items().size();
    if (n == 0) {
      return new Changes(0, 0, true);
    }
    CpModel model = new CpModel();
    IntVar[] at = new IntVar[n];
    IntVar[] pose = new IntVar[n + 1];
    IntVar[] tool = new IntVar[n + 1];
    BoolVar[] turns = new BoolVar[n];
    BoolVar[] swaps = new BoolVar[n];
    pose[n] = model.newConstant(problem.startPose());
    tool[n] = model.newConstant(problem.startTool());
    for (int i = 0; i < n; i++) {
      Item item = problem.items().get(i);
      at[i] = model.newIntVar(0, n - 1, "at");
      pose[i] = state(model, item.pose(), problem, false);
      tool[i] = state(model, item.tool(), problem, true);
      turns[i] = model.newBoolVar("turns");
      swaps[i] = model.newBoolVar("swaps");
    }
    CircuitConstraint circuit = model.addCircuit();
    for (int i = 0; i <= n; i++) {
      for (int j = 0; j < n; j++) {
        if (i == j) {
          continue;
        }
        BoolVar next = model.newBoolVar("next");
        circuit.addArc(i, j, next);
        if (i < n) {
          model.addEquality(LinearExpr.newBuilder().add(at[i]).add(1), at[j]).onlyEnforceIf(next);
        } else {
          model.addEquality(at[j], 0).onlyEnforceIf(next);
        }
        carried(model, next, pose[i], pose[j], problem.items().get(j).pose(), turns[j]);
        carried(model, next, tool[i], tool[j], problem.items().get(j).tool(), swaps[j]);
      }
      if (i < n) {
        circuit.addArc(i, n, model.newBoolVar("last"));
      }
    }
    model.addAllDifferent(at);
    for (int i = 0; i < n; i++) {
      Item item = problem.items().get(i);
      for (int before : item.before()) {
        model.addLessThan(at[before], at[i]);
      }
      oneOf(model, item.anyBefore(), at, i, true);
      oneOf(model, item.anyAfter(), at, i, false);
    }
    LinearExprBuilder changes = LinearExpr.newBuilder();
    for (int i = 0; i < n; i++) {
      changes.addTerm(turns[i], POSE).add(swaps[i]);
    }
    model.minimize(changes);
    CpSolver solver = solver();
    CpSolverStatus status = solver.solve(model);
    if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
      return new Changes(-1, -1, false);
    }
    int found = (int) Math.round(solver.objectiveValue());
    return new Changes(found / POSE, found % POSE, status == CpSolverStatus.OPTIMAL);
  }

  /** The pose, or the tool, after an item: its own, or any where it leaves it. */
  private static IntVar state(CpModel model, int own, OrderProblem problem, boolean tool) {
    if (own >= 0) {
      return model.newConstant(own);
    }
    int most = problem.items().stream().mapToInt(i -> tool ? i.tool() : i.pose()).max().orElse(-1);
    return model.newIntVar(
        -1, Math.max(most, tool ? problem.startTool() : problem.startPose()), "state");
  }

  private static void carried(
      CpModel model, BoolVar next, IntVar before, IntVar after, int own, BoolVar changes) {
    if (own < 0) {
      model.addEquality(before, after).onlyEnforceIf(next);
    } else {
      model.addEquality(before, after).onlyEnforceIf(new Literal[] {next, changes.not()});
    }
  }

  private static void oneOf(
      CpModel model, List<List<Integer>> groups, IntVar[] at, int item, boolean before) {
    if (groups.isEmpty()) {
      return;
    }
    List<Literal> any = new ArrayList<>();
    for (List<Integer> group : groups) {
      BoolVar whole = model.newBoolVar("group");
      for (int other : group) {
        model
            .addLessThan(before ? at[other] : at[item], before ? at[item] : at[other])
            .onlyEnforceIf(whole);
      }
      any.add(whole);
    }
    model.addBoolOr(any);
  }
}
