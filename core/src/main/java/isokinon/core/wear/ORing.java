package isokinon.core.wear;

import isokinon.core.value.Range;

/** O-rings: how they sit in their groove and what they have lost. */
public final class ORing {

  private ORing() {}

  /** Squeeze, 0 to 1: (section - gland depth)/section, both mm. */
  public static double squeeze(double sectionMm, double glandDepthMm) {
    Range.check("sectionMm", sectionMm, 0.1, 100);
    Range.check("glandDepthMm", glandDepthMm, 0, sectionMm);
    return (sectionMm - glandDepthMm) / sectionMm;
  }

  /** Stretch, 0 up: (groove diameter - inner diameter)/inner diameter, both mm. */
  public static double stretch(double innerMm, double grooveMm) {
    Range.check("innerMm", innerMm, 0.1, 10_000);
    Range.check("grooveMm", grooveMm, 0.1, 10_000);
    return (grooveMm - innerMm) / innerMm;
  }

  /** Share of the gland that the ring fills, 0 to 1 and over: its section over the groove's. */
  public static double fill(double sectionMm, double glandDepthMm, double grooveWidthMm) {
    Range.check("sectionMm", sectionMm, 0.1, 100);
    Range.check("glandDepthMm", glandDepthMm, 0.01, 100);
    Range.check("grooveWidthMm", grooveWidthMm, 0.01, 200);
    return Math.PI * sectionMm * sectionMm / 4 / (glandDepthMm * grooveWidthMm);
  }

  /**
   * Permanent set, 0 to 1: (original - recovered)/(original - gland), all mm. 0.4 is watch, 0.6
   * renew.
   */
  public static double set(double originalMm, double recoveredMm, double glandDepthMm) {
    Range.check("originalMm", originalMm, 0.1, 100);
    Range.check("glandDepthMm", glandDepthMm, 0.01, originalMm * 0.999);
    Range.check("recoveredMm", recoveredMm, 0.01, originalMm);
    return (originalMm - recoveredMm) / (originalMm - glandDepthMm);
  }
}
