package isokinon.server.work.photographs;

import isokinon.core.photograph.PhotographMark;
import isokinon.core.photograph.PhotographOf;
import java.util.List;

/**
 * A photograph as it is shown.
 *
 * @param of what it is of
 * @param subject id of the part, the step or the energy; empty where it is of the whole pump
 * @param title what that is called
 * @param width of the picture, pixels
 * @param height of the picture, pixels
 */
public record PhotographView(
    long id,
    PhotographOf of,
    String subject,
    String title,
    String by,
    String at,
    int width,
    int height,
    List<PhotographMark> marks) {

  /**
   * The photographs of a job.
   *
   * @param ofASubject how many may be of one thing
   * @param ofAJob how many a job may hold
   */
  public record PhotographsOfJob(List<PhotographView> photographs, int ofASubject, int ofAJob) {}

  /**
   * The photographs of one thing, and those of it at the last job that has any.
   *
   * @param last those of last time; empty where none were taken
   * @param lastDay the day of that job; empty where there was none
   */
  public record BesideLastTime(
      List<PhotographView> now, List<PhotographView> last, String lastDay) {}
}
