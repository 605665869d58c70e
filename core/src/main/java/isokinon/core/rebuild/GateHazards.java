package isokinon.core.rebuild;

import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.List;

/** The hazards of a make-safe gate in the order in which they are asked. */
final class GateHazards {

  private GateHazards() {}

  /** The last rinses, read behind the last hazard of the fluid itself; at the end without one. */
  static List<Sheet.Hazard> withRinses(List<Sheet.Hazard> met, List<Sheet.Hazard> rinses) {
    int place = met.size();
    for (int i = met.size(); i > 0; i--) {
      if (met.get(i - 1).energy() == Sheet.Energy.FLUID) {
        place = i;
        break;
      }
    }
    List<Sheet.Hazard> all = new ArrayList<>(met);
    all.addAll(place, rinses);
    return all;
  }
}
