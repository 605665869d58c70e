package isokinon.server.work.setup;

import isokinon.core.value.Fault;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;

/**
 * What a shop says of itself as a whole.
 *
 * @param name what it is called
 * @param labourPerHour what an hour at the bench costs, in its currency
 * @param overtimePerHour what an hour outside the usual ones costs, in its currency
 */
public record ShopForm(@Size(max = 60) String name, Double labourPerHour, Double overtimePerHour) {

  private static final double MOST = 10_000;

  /** As the shop said it, or as it is taken where it has not. */
  static ShopForm of(ShopSettings settings) {
    return new ShopForm(
        settings.name(),
        settings.labourPerHour(),
        settings.labourPerHour() * (1 + settings.overtime()));
  }

  /**
   * Keeps it.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  void into(ShopSettings settings, String who) {
    List<Fault> faults = new ArrayList<>();
    if (name == null || name.isBlank()) {
      faults.add(new Fault("name", "Say what the shop is called."));
    }
    if (labourPerHour == null || !(labourPerHour > 0 && labourPerHour <= MOST)) {
      faults.add(new Fault("labourPerHour", "An hour at the bench costs more than nothing."));
    } else if (overtimePerHour == null
        || !(overtimePerHour >= labourPerHour && overtimePerHour <= MOST)) {
      faults.add(
          new Fault("overtimePerHour", "An hour after hours costs no less than a usual one."));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    settings.name(name.strip(), who);
    settings.labour(labourPerHour, overtimePerHour / labourPerHour - 1, who);
  }
}
