package isokinon.server.work.stages;

import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.plan.RouteOption;
import isokinon.core.plan.UnplannableRequest;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Following;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.server.work.lives.Forecast;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.PlanView;
import isokinon.server.work.stages.WaysView.RenewLine;
import isokinon.server.work.stages.WaysView.RouteView;
import isokinon.server.work.stages.WaysView.SchoolView;
import isokinon.server.work.stages.WaysView.WayView;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The ways in beside each other, and what each way of each school costs this job. */
final class WaysViewer {

  /** Before the take-in there is no plan. */
  private static final PlanView NO_PLAN =
      new PlanView(List.of(), List.of(), 0, 0, 0, 0, 0, List.of(), List.of(), true, 0, 0, 0);

  /** Before anything is asked. */
  static final WaysView NONE = new WaysView(NO_PLAN, List.of(), List.of(), List.of());

  private WaysViewer() {}

  static WaysView of(Rebuild rebuild, Forecast life) {
    if (rebuild.plan().isEmpty()) {
      return NONE;
    }
    PlanRequest asked = rebuild.asked();
    Plan plan = new Planner().plan(rebuild.sheet(), asked);
    Set<String> going = Set.copyOf(plan.strip());
    List<RouteOption> routes =
        new Planner()
            .routes(rebuild.sheet(), new PlanRequest(asked.renew(), asked.inspect(), List.of()));
    Map<School, School.Way> followed = rebuild.ways();
    return new WaysView(
        plan(plan, rebuild.sheet()),
        plan.renew().stream()
            .map(
                r ->
                    new RenewLine(
                        r.part(),
                        rebuild.sheet().partName(r.part()),
                        r.count(),
                        r.reason(),
                        r.because()))
            .toList(),
        routes.stream()
            .map(
                r ->
                    new RouteView(
                        r.title(),
                        r.minutes(),
                        r.steps().stream()
                            .flatMap(s -> rebuild.sheet().step(s).stream())
                            .map(s -> s.strip())
                            .toList(),
                        r.avoid(),
                        Set.copyOf(r.steps()).equals(going)))
            .toList(),
        followed.keySet().stream().map(s -> school(rebuild, asked, s, followed, life)).toList());
  }

  private static SchoolView school(
      Rebuild rebuild,
      PlanRequest asked,
      School school,
      Map<School, School.Way> followed,
      Forecast life) {
    List<WayView> ways = new ArrayList<>();
    for (School.Way way : school.ways()) {
      List<String> chosen = new ArrayList<>();
      followed.forEach((s, w) -> chosen.add(s.equals(school) ? way.id() : w.id()));
      plan(rebuild, asked, chosen)
          .ifPresent(
              plan ->
                  ways.add(
                      new WayView(
                          way.id(),
                          way.title(),
                          way.say(),
                          way.standard(),
                          way.equals(followed.get(school)),
                          plan.handsMinutes(),
                          plan.renew().stream().mapToInt(Plan.Renewal::count).sum(),
                          school.id().equals(School.INTERVAL.id())
                              ? life.risk(way.effect() == School.Effect.UNTIL_TEAR)
                              : "")));
    }
    return new SchoolView(school.id(), school.ask(), ways);
  }

  /** The plan when {@code ways} are followed; empty where a way needs a step that is avoided. */
  private static Optional<Plan> plan(Rebuild rebuild, PlanRequest asked, List<String> ways) {
    try {
      return Optional.of(
          new Planner()
              .plan(
                  rebuild
                      .written()
                      .by(new Following(ways, rebuild.fitted().material(), rebuild.goesIn())),
                  new PlanRequest(
                      asked.renew(),
                      asked.inspect(),
                      List.of(),
                      asked.avoid(),
                      rebuild.written().has(School.Effect.KIT_CONTENTS, ways))));
    } catch (UnplannableRequest e) {
      return Optional.empty();
    }
  }

  static PlanView plan(Plan p, Sheet sheet) {
    return new PlanView(
        p.strip(),
        p.build(),
        p.minutes(),
        p.buildOnlyMinutes(),
        p.clockMinutes(),
        p.poseChanges(),
        p.toolChanges(),
        p.tools().stream().map(Text::tool).toList(),
        p.lubricants(),
        p.optimal(),
        p.mostPosesOff(),
        p.mostToolsOff(),
        (int)
            p.strip().stream()
                .flatMap(id -> sheet.step(id).stream())
                .filter(step -> step.learnedJobs() > 0)
                .count());
  }

  /** The plan of a rebuild in figures. */
  static PlanView plan(Rebuild rebuild) {
    return rebuild.plan().map(p -> plan(p, rebuild.sheet())).orElse(NO_PLAN);
  }
}
