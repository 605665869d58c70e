package isokinon.server.work;

import isokinon.core.life.WeibullPosterior;
import isokinon.server.store.RunRow;
import java.util.List;

/**
 * Finished runs of one role in one material in one duty, summed up once for every pump they bear
 * on.
 *
 * @param runs how many
 * @param failedAt ages of those that failed, hours, lowest first
 * @param evidence what they say of the life
 */
record RunGroup(int runs, List<Double> failedAt, WeibullPosterior.Evidence evidence) {

  private static final double FATIGUE = 2.5;
  private static final double ABRASION = 2.0;

  static RunGroup of(String role, List<RunRow> rows) {
    double shape = role.equals("diaphragm") ? FATIGUE : ABRASION;
    return new RunGroup(
        rows.size(),
        rows.stream().filter(RunRow::failed).map(RunRow::hours).sorted().toList(),
        WeibullPosterior.Evidence.of(
            shape,
            rows.stream().map(r -> new WeibullPosterior.Run(r.hours(), r.failed())).toList()));
  }
}
