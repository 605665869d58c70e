package isokinon.core.rebuild;

import java.util.List;
import java.util.Optional;

/**
 * Something a person did at the bench. Which fields count depends on the kind.
 *
 * @param kind what was done
 * @param step strip or build step it belongs to; empty otherwise
 * @param subject part, check, hazard, test, role or lot it is about
 * @param pass torque pass, from 1; 0 otherwise
 * @param fastener fastener number, from 1; 0 otherwise
 * @param value reading in {@code unit}
 * @param unit unit of the reading
 * @param text what was typed or said: reason, note, how a torque was read
 * @param items parts asked for, material chosen, parts fitted
 */
public record Act(
    Kind kind,
    String step,
    String subject,
    int pass,
    int fastener,
    Optional<Double> value,
    String unit,
    String text,
    List<String> items) {

  /** Copies its list. */
  public Act {
    items = List.copyOf(items);
  }

  /** What a person can do at the bench. */
  public enum Kind {
    /**
     * Items are {@code renew:part}, {@code inspect:part}, {@code way:way} and {@code avoid:step};
     * text is why now.
     */
    TAKEN_IN,
    /** A hazard of the make-safe gate is proved gone; value where it is measured. */
    PROVED_SAFE,
    /** One of the confirmations every make-safe gate has. */
    CONFIRMED,
    /** A check of a step is answered. */
    CHECKED,
    /** A torque is read (value) or clicked (text is "clicked"). */
    TORQUE_READ,
    /** A whole pass is done at its setting. */
    PASS_DONE,
    /** The lead accepts a torque out of range, text is the reason. */
    TORQUE_ACCEPTED,
    STEP_DONE,
    /** The last step is taken back. */
    STEP_UNDONE,
    /** A part is judged: items hold the verdict, value what was measured, text the reason. */
    JUDGED,
    /** Subject is the role, items the material. */
    MATERIAL_CHOSEN,
    /** Subject is the lot, items the parts it goes into. */
    LOT_FITTED,
    /** A test of the proof is read or confirmed; text is how it was timed where no clock ran. */
    PROVED,
    /** A part is measured: step is the measure. It is judged afterwards. */
    MEASURED,
    /** Why a part wore: items hold the cause and {@code counter:id} for what is done about it. */
    CAUSE_FOUND,
    /** Items are {@code seen:symptom}, {@code not:symptom}, {@code yes:test}, {@code no:test}. */
    SYMPTOMS_TOLD,
    /** What was wrong with the pump: subject is the fault, or "other". */
    FAULT_FOUND,
    /** The clock of a test is started: subject is the test. */
    CLOCK_STARTED,
    /** A failed test sends the job back to the step behind it: subject is the test. */
    SENT_BACK,
    /** A joint is tightened again, a gland followed up: subject is the step or the test. */
    SETTLED,
    /** Inspect, Decide or Prove is finished. */
    STAGE_DONE,
    /** Another way of a school is followed: subject is the school, items the way. */
    WAY_CHOSEN,
    /** A matched part goes back: subject is the place, items the piece from the tray. */
    PLACED,
    /** The job rests: subject is what it waits for, text a note. */
    PAUSED,
    /** The job goes on. */
    RESUMED,
    NOTED,
    HANDED_BACK
  }

  /** An act with only a kind, a step and a subject. */
  public static Act of(Kind kind, String step, String subject) {
    return new Act(kind, step, subject, 0, 0, Optional.empty(), "", "", List.of());
  }

  /** The same act with a reading. */
  public Act reading(double number, String inUnit) {
    return new Act(kind, step, subject, pass, fastener, Optional.of(number), inUnit, text, items);
  }

  /** The same act on a fastener in a pass. */
  public Act on(int inPass, int ofFastener) {
    return new Act(kind, step, subject, inPass, ofFastener, value, unit, text, items);
  }

  /** The same act with words. */
  public Act saying(String words) {
    return new Act(kind, step, subject, pass, fastener, value, unit, words, items);
  }

  /** The same act with items. */
  public Act with(List<String> list) {
    return new Act(kind, step, subject, pass, fastener, value, unit, text, list);
  }
}
