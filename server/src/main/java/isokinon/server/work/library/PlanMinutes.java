package isokinon.server.work.library;

import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.work.shared.CachedByKey;
import java.util.EnumSet;
import java.util.List;
import org.springframework.stereotype.Component;

/** Minutes of hands of a plan, reckoned once for each sheet revision and question. */
@Component
public class PlanMinutes {

  /** A question to the planner; a sheet at a revision never changes. */
  private record Question(
      String sheet, int revision, List<String> ways, List<String> renew, List<String> look) {}

  private final CachedByKey<Question, Double> known;

  public PlanMinutes(DataVersions versions) {
    known = new CachedByKey<>(versions, EnumSet.of(Topic.SHEETS));
  }

  /** Minutes to renew parts of a pump that is made by these ways of its variants. */
  public double renew(Sheet sheet, List<String> ways, List<String> parts) {
    return minutes(sheet, ways, parts, List.of());
  }

  /** Minutes to reach parts, look at them and close up again. */
  public double look(Sheet sheet, List<String> ways, List<String> parts) {
    return minutes(sheet, ways, List.of(), parts);
  }

  private double minutes(Sheet sheet, List<String> ways, List<String> renew, List<String> look) {
    if (renew.isEmpty() && look.isEmpty()) {
      return 0;
    }
    return known.get(
        new Question(sheet.id(), sheet.revision(), ways, renew, look),
        q -> new Planner().plan(sheet.by(ways), PlanRequest.of(renew, look)).handsMinutes());
  }
}
