package isokinon.core.sheet;

import java.util.List;

/**
 * What a pump does where a test of its proof does not hold, as ids of symptoms of the diagnosis
 * library.
 *
 * @param under where a reading is under the least that passes, or nothing was read
 * @param over where a reading is over the greatest that passes
 */
public record MissSymptoms(List<String> under, List<String> over) {

  /** Says nothing of it. */
  public static final MissSymptoms NOTHING = new MissSymptoms(List.of(), List.of());

  /** Copies its lists. */
  public MissSymptoms {
    under = List.copyOf(under);
    over = List.copyOf(over);
  }
}
