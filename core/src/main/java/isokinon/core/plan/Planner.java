package isokinon.core.plan;

import isokinon.core.plan.order.BestOrder;
import isokinon.core.plan.order.OrderProblem;
import isokinon.core.plan.order.OrderProblem.Order;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import isokinon.core.sheet.Step;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Plans a rebuild from a sheet: the cheapest set of strip steps that reaches every asked part, what
 * is renewed by it, and the strip and build orders with fewest pose changes, then tool changes.
 * Route and orders are exact within the limits of {@link RouteSearch} and {@link BestOrder}; the
 * plan says whether they were. Deterministic: ties go to the order of the sheet.
 */
public final class Planner {

  /**
   * Plans {@code request} on {@code sheet}.
   *
   * @throws UnplannableRequest where the request names unknown parts or steps, a part that never
   *     comes off, or done steps that could not have been done
   */
  public Plan plan(Sheet sheet, PlanRequest request) {
    Solved solved = solved(sheet, request);
    RouteSearch.Route route = solved.route;
    OrderProblem stripping = solved.stripping;
    Order strip = solved.strip;
    List<Integer> members = route.steps().stream().boxed().toList();
    List<BuildOnlyStep> extras = solved.extras;
    OrderProblem building = solved.building;
    Order build = order(building);

    List<String> stripIds =
        stepIds(sheet, strip.sequence().stream().map(solved.toStrip::get).toList());
    List<String> buildIds = build.sequence().stream().map(solved.back::id).toList();
    List<Handling> way =
        Stream.concat(
                stripIds.stream()
                    .flatMap(id -> sheet.handling(id).stream())
                    .map(h -> h.during(true)),
                buildIds.stream()
                    .flatMap(id -> sheet.handling(id).stream())
                    .map(h -> h.during(false)))
            .toList();
    Set<String> planned = new HashSet<>(stepIds(sheet, members));
    return new Plan(
        stripIds,
        buildIds,
        members.stream().mapToDouble(i -> sheet.steps().get(i).minutes()).sum(),
        extras.stream().mapToDouble(BuildOnlyStep::buildMinutes).sum(),
        extras.stream().mapToDouble(BuildOnlyStep::waitMinutes).sum(),
        stripping.clockMinutes(strip.sequence()) + building.clockMinutes(build.sequence()),
        strip.poseChanges(),
        strip.toolChanges(),
        build.poseChanges(),
        build.toolChanges(),
        solved.renewals,
        freed(sheet, members),
        sheet.sides().stream()
            .flatMap(s -> s.steps(Sides.Closes.CLOSES_FIRST, planned).stream())
            .filter(planned::contains)
            .toList(),
        way.stream().flatMap(h -> h.tools().stream()).distinct().toList(),
        way.stream().flatMap(h -> h.apply().stream()).map(Handling.Apply::what).distinct().toList(),
        way.stream().flatMap(h -> h.hazards().stream()).distinct().toList(),
        route.exact() && strip.optimal() && build.optimal(),
        strip.poseChanges() - strip.leastPoses() + build.poseChanges() - build.leastPoses(),
        strip.toolChanges() - strip.leastTools() + build.toolChanges() - build.leastTools());
  }

  /** The route, the strip in order, and the build as a question. */
  private record Solved(
      RouteSearch.Route route,
      List<Integer> toStrip,
      OrderProblem stripping,
      Order strip,
      List<Plan.Renewal> renewals,
      List<BuildOnlyStep> extras,
      BuildProblem back,
      OrderProblem building) {}

  private static Solved solved(Sheet sheet, PlanRequest request) {
    RouteSearch search = new RouteSearch(sheet);
    BitSet done = checked(sheet, request, search);
    Set<String> asked = new LinkedHashSet<>(request.renew());
    asked.addAll(request.inspect());
    RouteSearch.Route route =
        search
            .cheapest(List.copyOf(asked), done, avoided(request, search))
            .orElseThrow(
                () ->
                    new UnplannableRequest(
                        List.of(
                            new UnplannableRequest.Reason(
                                "avoid", "Without these steps there is no way in."))));

    List<Integer> members = route.steps().stream().boxed().toList();
    List<Integer> toStrip = members.stream().filter(i -> !done.get(i)).toList();
    Names poses = new Names();
    Names tools = new Names();
    Stance stance = Stance.after(sheet, request.done(), poses, tools);
    OrderProblem stripping = StripProblem.of(sheet, search, toStrip, done, stance, poses, tools);
    Order strip = order(stripping);
    List<Integer> sequence = new ArrayList<>();
    request.done().forEach(id -> sequence.add(search.indexOf(id)));
    strip.sequence().forEach(i -> sequence.add(toStrip.get(i)));

    List<Plan.Renewal> renewals = renewals(sheet, request, members);
    List<BuildOnlyStep> extras = new BuildOnlySteps(sheet, stepIds(sheet, members)).of(renewals);
    int endPose = stance.pose();
    for (int i : strip.sequence()) {
      String pose = sheet.steps().get(toStrip.get(i)).how().during(true).pose();
      endPose = pose.isEmpty() ? endPose : poses.of(pose);
    }
    BuildProblem back = new BuildProblem(sheet, search, sequence, extras);
    OrderProblem building = back.problem(endPose, poses);
    return new Solved(route, toStrip, stripping, strip, renewals, extras, back, building);
  }

  /**
   * The two questions of order that a plan answers, for another solver to be held beside: the
   * strip, and the build that follows from the strip that the plan took.
   *
   * @param strip the steps to strip
   * @param build the steps to build
   */
  public record OrderQuestions(OrderProblem strip, OrderProblem build) {}

  /**
   * What {@link #plan} puts in order for this request.
   *
   * @throws UnplannableRequest as {@link #plan} does
   */
  public OrderQuestions orderQuestions(Sheet sheet, PlanRequest request) {
    Solved solved = solved(sheet, request);
    return new OrderQuestions(solved.stripping, solved.building);
  }

  private static List<String> stepIds(Sheet sheet, List<Integer> steps) {
    return steps.stream().map(i -> sheet.steps().get(i).id()).toList();
  }

  /**
   * The ways in that {@code request} leaves open, cheapest first. Its {@code avoid} does not count:
   * every way is told.
   *
   * @throws UnplannableRequest as {@link #plan} does
   */
  public List<RouteOption> routes(Sheet sheet, PlanRequest request) {
    BitSet done = checked(sheet, request, new RouteSearch(sheet));
    Set<String> asked = new LinkedHashSet<>(request.renew());
    asked.addAll(request.inspect());
    return new RouteComparison(sheet).routes(List.copyOf(asked), done);
  }

  private static BitSet avoided(PlanRequest request, RouteSearch search) {
    BitSet avoid = new BitSet();
    request.avoid().stream().map(search::indexOf).filter(i -> i >= 0).forEach(avoid::set);
    return avoid;
  }

  /** Parts that are off once the steps at {@code members} are stripped. */
  private static List<String> freed(Sheet sheet, List<Integer> members) {
    Set<String> off = new HashSet<>();
    for (int i : members) {
      off.addAll(sheet.steps().get(i).opens());
    }
    return sheet.parts().stream().map(Part::id).filter(off::contains).toList();
  }

  private static BitSet checked(Sheet sheet, PlanRequest request, RouteSearch search) {
    List<UnplannableRequest.Reason> reasons = new ArrayList<>();
    checkParts(sheet, "renew", request.renew(), search, reasons);
    checkParts(sheet, "inspect", request.inspect(), search, reasons);
    BitSet done = new BitSet();
    for (int i = 0; i < request.done().size(); i++) {
      String id = request.done().get(i);
      int step = search.indexOf(id);
      if (step < 0) {
        reasons.add(
            new UnplannableRequest.Reason("done[" + i + "]", "No step is called " + id + "."));
      } else {
        done.set(step);
      }
    }
    if (reasons.isEmpty() && search.reachable(done).size() < done.cardinality()) {
      reasons.add(
          new UnplannableRequest.Reason(
              "done",
              "These steps cannot all have been done: one needs a step that is not there."));
    }
    if (!reasons.isEmpty()) {
      throw new UnplannableRequest(reasons);
    }
    return done;
  }

  private static void checkParts(
      Sheet sheet,
      String field,
      List<String> parts,
      RouteSearch search,
      List<UnplannableRequest.Reason> reasons) {
    for (int i = 0; i < parts.size(); i++) {
      String path = field + "[" + i + "]";
      if (sheet.part(parts.get(i)).isEmpty()) {
        reasons.add(new UnplannableRequest.Reason(path, "No part is called " + parts.get(i) + "."));
      } else if (!search.frees(parts.get(i))) {
        reasons.add(
            new UnplannableRequest.Reason(
                path, "No step of this sheet takes off " + parts.get(i) + "."));
      }
    }
  }

  private record Because(Plan.Renewal.Reason reason, String say) {
    Plan.Renewal renew(Part part) {
      return new Plan.Renewal(part.id(), part.count(), reason, say);
    }
  }

  private static List<Plan.Renewal> renewals(
      Sheet sheet, PlanRequest request, List<Integer> members) {
    Map<String, Because> because = new LinkedHashMap<>();
    Because asked = new Because(Plan.Renewal.Reason.ASKED_FOR, "asked for");
    request.renew().forEach(part -> because.put(part, asked));
    for (int i : members) {
      Step step = sheet.steps().get(i);
      Because opened =
          new Because(
              Plan.Renewal.Reason.JOINT_OPENED,
              "one-time part, its joint is opened: " + step.strip());
      step.opens().stream()
          .filter(part -> sheet.part(part).map(Part::oneTime).orElse(false))
          .forEach(part -> because.putIfAbsent(part, opened));
    }
    if (request.kitContents()) {
      Because held = new Because(Plan.Renewal.Reason.KIT_HOLDS_IT, "lies open, the kit holds it");
      kitContents(sheet, request, members).forEach(p -> because.putIfAbsent(p, held));
    }
    return sheet.parts().stream()
        .filter(p -> because.containsKey(p.id()))
        .map(p -> because.get(p.id()).renew(p))
        .toList();
  }

  /**
   * Parts that lie open and come in the kit of an asked part: of the kits that hold it the one with
   * fewest parts. A part whose joint only opens, such as a gasket several kits hold, calls for
   * none.
   */
  private static List<String> kitContents(Sheet sheet, PlanRequest request, List<Integer> members) {
    Set<String> open = Set.copyOf(freed(sheet, members));
    Set<String> comesOff = new HashSet<>();
    sheet.steps().forEach(s -> comesOff.addAll(s.frees()));
    return request.renew().stream()
        .filter(comesOff::contains)
        .flatMap(
            part ->
                sheet.kits().stream()
                    .map(k -> k.parts().keySet())
                    .filter(k -> k.contains(part))
                    .min(java.util.Comparator.comparingInt(Set::size))
                    .stream())
        .flatMap(Set::stream)
        .filter(open::contains)
        .toList();
  }

  private static Order order(OrderProblem problem) {
    return BestOrder.of(problem)
        .orElseThrow(
            () ->
                new UnplannableRequest(
                    List.of(
                        new UnplannableRequest.Reason(
                            "sheet",
                            "Steps of this sheet wait for each other: no order has them all."))));
  }
}
