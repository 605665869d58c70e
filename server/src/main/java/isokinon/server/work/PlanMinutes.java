package isokinon.server.work;

import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Sheet;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Bench minutes of a plan, reckoned once for each sheet revision and question. */
@Component
class PlanMinutes {

  private final Map<String, Double> known = new ConcurrentHashMap<>();

  /** Minutes to renew parts. */
  double renew(Sheet sheet, List<String> parts) {
    return minutes(sheet, parts, List.of());
  }

  /** Minutes to reach parts, look at them and close up again. */
  double look(Sheet sheet, List<String> parts) {
    return minutes(sheet, List.of(), parts);
  }

  private double minutes(Sheet sheet, List<String> renew, List<String> look) {
    if (renew.isEmpty() && look.isEmpty()) {
      return 0;
    }
    return known.computeIfAbsent(
        sheet.id() + "@" + sheet.revision() + " " + renew + look,
        k -> new Planner().plan(sheet.by(List.of()), PlanRequest.of(renew, look)).minutes());
  }
}
