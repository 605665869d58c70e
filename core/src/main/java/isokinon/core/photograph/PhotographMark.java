package isokinon.core.photograph;

import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.util.ArrayList;
import java.util.List;

/**
 * Something drawn on a photograph with a finger. Places are shares of its width and height, 0 at
 * the left and at the top, so that it stays where it was at any size.
 *
 * @param fromX where it begins: the tail of an arrow, a corner of the box around a ring
 * @param toX where it ends: the head of an arrow, the other corner
 * @param label beside it; empty where it has none
 */
public record PhotographMark(
    Shape shape, double fromX, double fromY, double toX, double toY, String label) {

  /** What is drawn. */
  public enum Shape implements Code {
    RING,
    ARROW
  }

  /** On one photograph. */
  public static final int MOST = 12;

  /** Characters beside a mark. */
  public static final int MOST_LABEL = 40;

  /** What is wrong with marks that were drawn. */
  public static List<Fault> faults(List<PhotographMark> marks) {
    List<Fault> faults = new ArrayList<>();
    if (marks.size() > MOST) {
      faults.add(
          new Fault("marks", MOST + " marks fit on a photograph; " + marks.size() + " do not."));
    }
    for (int i = 0; i < marks.size(); i++) {
      PhotographMark m = marks.get(i);
      if (!within(m.fromX) || !within(m.fromY) || !within(m.toX) || !within(m.toY)) {
        faults.add(new Fault("marks[" + i + "]", "A mark lies on its photograph, 0 to 1."));
      }
      if (m.label.length() > MOST_LABEL) {
        faults.add(
            new Fault("marks[" + i + "].label", MOST_LABEL + " characters fit beside a mark."));
      }
    }
    return faults;
  }

  private static boolean within(double share) {
    return share >= 0 && share <= 1;
  }
}
