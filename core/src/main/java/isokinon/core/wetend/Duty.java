package isokinon.core.wetend;

import java.util.ArrayList;
import java.util.List;

/**
 * What a pump's wet end sees.
 *
 * @param exposures fluids with their share of time; shares add up to 1 within 0.001
 * @param abrasion how hard the solids wear
 * @param suctionLiftM suction lift, m
 */
public record Duty(List<Exposure> exposures, Abrasion abrasion, double suctionLiftM) {

  private static final double SHARE_SLACK = 0.001;

  /**
   * A fluid of the duty.
   *
   * @param fluid fluid code
   * @param concentrationPct 0 to 100 %
   * @param temperatureC highest usual temperature, degC
   * @param share of the time, 0 to 1
   */
  public record Exposure(
      String fluid, double concentrationPct, double temperatureC, double share) {}

  /** How hard solids wear. The exponent bends a material's heavy-abrasion factor: 0 is none. */
  public enum Abrasion {
    NONE(0),
    LIGHT(0.25),
    MEDIUM(0.5),
    HEAVY(1);

    private final double exponent;

    Abrasion(double exponent) {
      this.exponent = exponent;
    }

    /** The life factor for a material whose factor under heavy abrasion is given. */
    public double factor(double heavy) {
      return Math.pow(heavy, exponent);
    }
  }

  /** One field of a duty that is wrong: path and sentence. */
  public record Fault(String path, String message) {}

  /** Everything wrong with this duty; empty where it can be rated. */
  public List<Fault> faults() {
    List<Fault> faults = new ArrayList<>();
    if (exposures.isEmpty()) {
      faults.add(new Fault("exposures", "A duty has at least one fluid."));
    }
    double sum = 0;
    for (int i = 0; i < exposures.size(); i++) {
      Exposure e = exposures.get(i);
      String path = "exposures[" + i + "]";
      within(
          faults, path + ".concentrationPct", "Concentration", e.concentrationPct(), 0, 100, "%");
      within(faults, path + ".temperatureC", "Temperature", e.temperatureC(), -273.15, 1000, "°C");
      within(faults, path + ".share", "Share of time", e.share(), 0, 1, "");
      sum += e.share();
    }
    if (!exposures.isEmpty() && !(Math.abs(sum - 1) <= SHARE_SLACK)) {
      faults.add(new Fault("exposures", "The shares add up to " + sum + "; they must make 1."));
    }
    within(faults, "suctionLiftM", "Suction lift", suctionLiftM, 0, 10.3, "m");
    return faults;
  }

  private static void within(
      List<Fault> faults,
      String path,
      String what,
      double value,
      double min,
      double max,
      String unit) {
    if (!(value >= min && value <= max)) {
      faults.add(
          new Fault(
              path,
              what + " must be " + min + " to " + max + " " + unit + "; " + value + " is not."));
    }
  }
}
