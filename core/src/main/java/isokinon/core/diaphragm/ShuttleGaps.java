package isokinon.core.diaphragm;

import isokinon.core.value.Range;

/**
 * The magnet shuttle of a linear pump between its coils.
 *
 * @param differenceMm left less right, mm
 * @param shiftMm how far to move it to the right to stand in the middle, mm
 * @param even whether it stands in the middle closely enough
 */
public record ShuttleGaps(double differenceMm, double shiftMm, boolean even) {

  /** Greatest difference where the sheet names none, mm. */
  public static final double USUAL_MM = 0.3;

  /**
   * From the gaps left and right.
   *
   * @param leftMm mm, 0 or more
   * @param rightMm mm, 0 or more
   * @param allowedMm greatest difference, mm
   * @throws IllegalArgumentException naming the value that is out of range
   */
  public static ShuttleGaps of(double leftMm, double rightMm, double allowedMm) {
    Range.check("leftMm", leftMm, 0, 100);
    Range.check("rightMm", rightMm, 0, 100);
    Range.check("allowedMm", allowedMm, 0, 100);
    double difference = leftMm - rightMm;
    return new ShuttleGaps(difference, -difference / 2, Math.abs(difference) <= allowedMm);
  }
}
