package isokinon.server.work.drawing;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import isokinon.server.work.shared.StateMark;
import java.util.List;

/** Lines of the stack drawing laid end to end, with their parts. */
public record Rail(String id, String title, boolean inPlan, List<RailLine> lines) {

  /** One centre line. */
  public record RailLine(
      String id, int axes, String note, boolean mirrored, Sheet.View view, List<RailPart> parts) {}

  /** Where a part is. */
  public enum Where implements Code {
    IN_PLACE,
    IN_HAND,
    /** Undone, but still caught on a shaft or rod. */
    ASIDE,
    OFF
  }

  /**
   * A part as drawn: where it is, what is known of it.
   *
   * @param word how it stands, in a word or two
   * @param subWord what else is said of it
   * @param reached whether the plan takes it off
   */
  public record RailPart(
      String id,
      String name,
      String glyph,
      double at,
      String side,
      int count,
      String facing,
      String faces,
      Part.Toward toward,
      double angle,
      List<Part.Care> care,
      Where where,
      StateMark state,
      String word,
      String subWord,
      boolean reached) {}

  /** How a part of the drawing stands: what changes of a {@link RailPart} while it is worked on. */
  public record PartState(
      String id, Where where, StateMark state, String word, String subWord, boolean reached) {}
}
