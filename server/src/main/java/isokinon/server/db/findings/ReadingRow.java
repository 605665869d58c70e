package isokinon.server.db.findings;

import java.time.OffsetDateTime;

/**
 * A number read off a pump: of a part on the tray, or of a test of the proof.
 *
 * @param subject part id, or {@code proof}
 * @param measure what was measured, or the test
 * @param hours the pump's hour counter then
 * @param gauge gauge it was read with; empty where it was typed without one
 * @param overdue whether the gauge was out of calibration
 * @param rebuild rebuild it belongs to; null for one brought in
 * @param lastOfPart whether the part was renewed after it, so that a new life begins
 */
public record ReadingRow(
    String pump,
    String subject,
    String measure,
    String unit,
    double reading,
    OffsetDateTime takenAt,
    double hours,
    String who,
    String gauge,
    boolean overdue,
    Long rebuild,
    boolean lastOfPart) {

  /** Subject of readings of the proof. */
  public static final String PROOF = "proof";
}
