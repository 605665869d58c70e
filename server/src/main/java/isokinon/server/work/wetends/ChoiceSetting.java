package isokinon.server.work.wetends;

import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Sheet;
import isokinon.core.wetend.Duty;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.pumps.DutyForm;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything a choice is made in.
 *
 * @param tag whose; empty for a duty typed in
 * @param sheet its sheet, where one is known
 * @param madeBy how the pump is made where the sheet has variants, ids of their ways
 * @param lead the role that the choice is about
 * @param inPump material of each role as it is now
 * @param form the duty as it was given
 * @param duty the same in the terms of the rater
 */
record ChoiceSetting(
    String tag,
    Optional<Sheet> sheet,
    List<String> madeBy,
    Family family,
    String lead,
    Map<String, String> inPump,
    WetEndRow wetEnd,
    String fittedNow,
    DutyForm form,
    Duty duty,
    double hoursPerDay,
    Optional<Consequence> consequence) {

  /** The group whose runs tell of this duty: its fluid most of the time. */
  String dutyGroup() {
    return duty.exposures().isEmpty() ? "" : duty.exposures().get(0).fluid();
  }

  /** What a stop by failure costs beyond kit and labour, pounds. */
  double stopCost() {
    return Optional.ofNullable(form.stopCost()).orElse(wetEnd.stopCost());
  }
}
