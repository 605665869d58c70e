package isokinon.server.work.instruments;

import isokinon.core.torque.Wrench;
import isokinon.core.torque.WrenchSetting;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The shop's torque wrenches, and which of them a setting asks for. */
@Service
public class Wrenches {

  /** What the wrench is set to, and which wrench, or what the crib lacks. */
  public record WrenchChoice(double settingNm, Optional<String> wrench, String because) {}

  private final StoresMapper stores;
  private final Clock clock;

  Wrenches(StoresMapper stores, Clock clock) {
    this.stores = stores;
    this.clock = clock;
  }

  /** The wrench for a torque without an adapter, N·m. */
  public WrenchChoice choose(double targetNm) {
    List<Wrench> wrenches =
        stores.wrenches().stream()
            .map(w -> new Wrench(w.id(), w.minNm(), w.maxNm(), w.calibratedUntil(), w.clicks()))
            .toList();
    Wrench.Choice choice = Wrench.choose(wrenches, targetNm, LocalDate.now(clock));
    return new WrenchChoice(targetNm, choice.wrench().map(Wrench::id), choice.because());
  }

  /**
   * The wrench for a torque through an adapter; lengths and angle as typed.
   *
   * @throws RequestProblem where one of them is no number, or leaves no lever
   */
  public WrenchChoice choose(double targetNm, String handleMm, String adapterMm, String angleDeg) {
    double handle = Readings.parse(handleMm, "", "mm", "handleMm");
    double adapter = Readings.parse(adapterMm, "", "mm", "adapterMm");
    double angle = Readings.parse(angleDeg, "", "deg", "angleDeg");
    return choose(
        RequestProblem.answered(() -> WrenchSetting.settingNm(targetNm, handle, adapter, angle)));
  }
}
