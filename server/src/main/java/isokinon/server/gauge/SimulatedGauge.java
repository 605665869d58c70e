package isokinon.server.gauge;

import isokinon.core.unit.ShownUnit;
import isokinon.core.value.Code;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * A stand-in for a reading device. It settles on the truth it is given within a second or two, with
 * the noise of its kind, a slow drift, a battery that runs down, and the faults real ones have.
 */
public final class SimulatedGauge implements Gauge {

  /** What can be the matter with a device. */
  public enum Condition implements Code {
    OK,
    /** Zero has wandered by ten times its uncertainty. */
    DRIFTED,
    /** Set to another unit than the sheet asks in. */
    OTHER_UNIT,
    /** Under a tenth of its charge: reads, and says so. */
    BATTERY_LOW,
    /** No charge: does not answer. */
    BATTERY_FLAT,
    /** Out of reach: does not answer. */
    SILENT
  }

  /**
   * What a device is like.
   *
   * @param unit unit it shows when set as asked
   * @param resolution least step, in its unit
   * @param uncertainty standard uncertainty, in its unit
   */
  public record Kind(String unit, double resolution, double uncertainty) {}

  private record Other(String unit, double factor) {}

  private static final Map<String, Other> OTHER_UNITS =
      Map.of(
          "mm", new Other("in", 1 / 25.4),
          "bar", new Other("psi", 14.503773773),
          "mbar", new Other("kPa", 0.1),
          "N·m", new Other("ft·lbf", ShownUnit.POUND_FOOT.of(1)),
          "A", new Other("mA", 1000),
          "m3/h", new Other("L/min", 1000.0 / 60),
          "mL", new Other("L", 0.001),
          "s", new Other("min", 1.0 / 60));

  /** A unit that no sheet asks in: what a device shows that cannot be set to a fitting one. */
  private static final Other NOT_OURS = new Other("counts", 37);

  private static final double SETTLES = 0.45;
  private static final int STEADY_AFTER = 6;
  private static final double DRIFT = 10;

  private final Kind kind;
  private final double truth;
  private final Condition condition;
  private final SplittableRandom random;
  private int samples;

  /**
   * A stand-in at something whose true value is known.
   *
   * @param kind what it is like
   * @param truth true value, in the kind's unit
   * @param condition what is the matter with it
   * @param seed of its noise
   */
  public SimulatedGauge(Kind kind, double truth, Condition condition, long seed) {
    this.kind = kind;
    this.truth = truth;
    this.condition = condition;
    this.random = new SplittableRandom(seed);
  }

  @Override
  public Sample sample() throws Silent {
    if (condition == Condition.SILENT) {
      throw new Silent("The gauge does not answer: bring it nearer, or type the reading.");
    }
    if (condition == Condition.BATTERY_FLAT) {
      throw new Silent("The gauge's battery is flat: charge it, or read another and type it.");
    }
    samples++;
    // A counter stands where it stands; what measures comes to its value.
    boolean counts = kind.uncertainty() == 0;
    double settled = counts ? truth : truth * (1 - Math.pow(SETTLES, samples));
    double drift = condition == Condition.DRIFTED ? DRIFT * kind.uncertainty() : 0;
    double read = settled + drift + kind.uncertainty() * gaussian();
    double shown = Math.rint(read / kind.resolution()) * kind.resolution();
    Other unit =
        condition == Condition.OTHER_UNIT
            ? OTHER_UNITS.getOrDefault(kind.unit(), NOT_OURS)
            : new Other(kind.unit(), 1);
    int battery = condition == Condition.BATTERY_LOW ? 7 : Math.max(20, 90 - samples / 10);
    return new Sample(shown * unit.factor(), unit.unit(), samples >= STEADY_AFTER, battery);
  }

  /** Sum of twelve evens: near enough to normal for noise, and the same on every machine. */
  private double gaussian() {
    double sum = -6;
    for (int i = 0; i < 12; i++) {
      sum += random.nextDouble();
    }
    return sum;
  }
}
