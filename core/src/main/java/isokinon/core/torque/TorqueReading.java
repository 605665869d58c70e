package isokinon.core.torque;

import isokinon.core.sheet.Handling.Fastening;
import isokinon.core.value.Code;
import java.util.Locale;

/** Judges the torque read on one fastener in one pass against its joint. */
public final class TorqueReading {

  /** How a reading lies to the range asked for. */
  public enum Lie implements Code {
    IN_RANGE,
    UNDER,
    OVER
  }

  /**
   * The judgement.
   *
   * @param lie where the reading lies
   * @param byNm how far out, N·m, 0 in range
   * @param say what to do about it; empty in range
   */
  public record Judgement(Lie lie, double byNm, String say) {}

  /** Least and greatest torque of a pass, N·m. */
  public record Band(double minNm, double maxNm) {}

  /** Early passes only bring the parts together: within this share of the pass's own range. */
  private static final double EARLY_SLACK = 0.15;

  /** A reading this many times over the greatest torque is a slip, not a torque. */
  private static final double ABSURD = 4;

  private TorqueReading() {}

  /** The band of a pass at {@code percent} of the joint's torque. */
  public static Band band(Fastening joint, int percent) {
    double share = percent / 100.0;
    return percent == 100
        ? new Band(joint.minNm(), joint.maxNm())
        : new Band(
            joint.minNm() * share * (1 - EARLY_SLACK), joint.maxNm() * share * (1 + EARLY_SLACK));
  }

  /**
   * Whether a value can be a torque of this joint at all.
   *
   * @return a sentence where it cannot; empty where it can
   */
  public static String absurdity(Fastening joint, double readNm) {
    if (!Double.isFinite(readNm) || readNm < 0) {
      return "A torque cannot be " + readNm + " N·m.";
    }
    if (readNm > ABSURD * joint.maxNm()) {
      return String.format(
          Locale.ROOT,
          "%.1f N·m is %.0f times what this joint takes. Is the point, or the unit, in the right"
              + " place?",
          readNm,
          readNm / joint.maxNm());
    }
    return "";
  }

  /** Judges {@code readNm} on fastener {@code number} in the pass at {@code percent}. */
  public static Judgement judge(Fastening joint, int percent, int number, double readNm) {
    Band band = band(joint, percent);
    if (readNm > band.maxNm()) {
      double by = readNm - band.maxNm();
      return new Judgement(
          Lie.OVER,
          by,
          String.format(
              Locale.ROOT,
              "Bolt %d is %.1f N·m over: back it off, then take it again.",
              number,
              by));
    }
    if (readNm < band.minNm()) {
      double by = band.minNm() - readNm;
      return new Judgement(
          Lie.UNDER,
          by,
          String.format(
              Locale.ROOT, "Bolt %d is %.1f N·m short: draw it on and read again.", number, by));
    }
    return new Judgement(Lie.IN_RANGE, 0, "");
  }
}
