package isokinon.core.peristaltic;

import isokinon.core.value.Range;
import java.util.ArrayList;
import java.util.List;

/** The gap between roller and track, and the shims that make it. */
public final class TubeGap {

  private TubeGap() {}

  /**
   * The gap that pinches a tube: g = 2w(1 - y).
   *
   * @param wallMm wall thickness, mm, over 0 to 100
   * @param compression how much of the two walls is pressed together, 0 to 0.5
   * @return mm
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static double gapMm(double wallMm, double compression) {
    Range.check("wallMm", wallMm, 0.01, 100);
    Range.check("compression", compression, 0, 0.5);
    return 2 * wallMm * (1 - compression);
  }

  /**
   * Shims to lay behind a shoe so that the gap comes nearest to the one wanted, thickest first,
   * never closer than wanted.
   *
   * @param nowMm gap now, mm
   * @param wantedMm gap wanted, mm, not over {@code nowMm}
   * @param thicknessesMm shims to be had, mm, as many of each as it takes
   * @return thicknesses, mm; empty where the gap is right or the thinnest is too thick
   */
  public static List<Double> shims(double nowMm, double wantedMm, List<Double> thicknessesMm) {
    Range.check("nowMm", nowMm, 0, 200);
    Range.check("wantedMm", wantedMm, 0, nowMm);
    // Best sum not over the rest, by hundredths of a millimetre: exact, however odd the shims.
    int rest = (int) Math.round((nowMm - wantedMm) * 100);
    int[] last = new int[rest + 1];
    boolean[] made = new boolean[rest + 1];
    int[] count = new int[rest + 1];
    made[0] = true;
    for (int sum = 1; sum <= rest; sum++) {
      count[sum] = Integer.MAX_VALUE;
      for (double t : thicknessesMm) {
        int thick = (int) Math.round(t * 100);
        if (thick > 0 && thick <= sum && made[sum - thick] && count[sum - thick] < count[sum]) {
          made[sum] = true;
          last[sum] = thick;
          count[sum] = count[sum - thick] + 1;
        }
      }
    }
    int sum = rest;
    while (!made[sum]) {
      sum--;
    }
    List<Double> shims = new ArrayList<>();
    while (sum > 0) {
      shims.add(last[sum] / 100.0);
      sum -= last[sum];
    }
    shims.sort((a, b) -> Double.compare(b, a));
    return shims;
  }
}
