package isokinon.server.db.photographs;

import isokinon.core.photograph.PhotographOf;
import java.time.OffsetDateTime;

/**
 * A photograph of a job, without its picture.
 *
 * @param ofKind what it is of
 * @param subject id of the part, the step or the energy; empty where it is of the whole pump
 * @param stage the job was in
 * @param width of the picture, pixels
 * @param height of the picture, pixels
 * @param bytes of the picture
 * @param marks what was drawn on it, as JSON
 * @param actKey by which the device knows it, so that it is kept once
 */
public record PhotographRow(
    long id,
    long rebuild,
    PhotographOf ofKind,
    String subject,
    String stage,
    String takenBy,
    OffsetDateTime takenAt,
    int width,
    int height,
    int bytes,
    String marks,
    String actKey) {

  /** Whether it is of this part, step or energy. */
  public boolean isOf(PhotographOf kind, String what) {
    return ofKind == kind && subject.equals(what);
  }
}
