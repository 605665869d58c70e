package isokinon.server.work.symptoms;

import isokinon.core.diagnosis.TestChoice;
import isokinon.core.sheet.Family;
import isokinon.server.work.drawing.Rail;
import java.util.List;
import java.util.Optional;

/**
 * The pump before its strip, or after a rebuild that does not prove.
 *
 * @param missed what does not hold in the proof of the job, in words; absent before a strip
 */
public record SymptomsView(
    String tag,
    String duty,
    String fitted,
    Family family,
    List<SymptomLine> symptoms,
    List<FaultLine> faults,
    List<TestLine> tests,
    List<TestDone> done,
    Optional<String> missed,
    int confirmedHere,
    boolean hasSheet,
    List<Rail> rails) {

  /** A symptom: seen, not, or open. */
  public record SymptomLine(String id, String title, String say, String drawing, String state) {}

  /**
   * Something it may be.
   *
   * @param before chance before anything was told, 0 to 1
   * @param parts parts to reach, by id
   * @param reach the same in words
   * @param stripMinutes minutes of strip to reach them; empty where it sits outside the pump
   */
  public record FaultLine(
      String id,
      String title,
      double before,
      double chance,
      List<String> raised,
      List<String> lowered,
      List<String> parts,
      String reach,
      Optional<Double> stripMinutes,
      int foundHere) {}

  /**
   * A test not done yet, the best first.
   *
   * @param share share of the doubt it is expected to settle, 0 to 1
   */
  public record TestLine(
      String id,
      String title,
      String how,
      TestChoice.Kind kind,
      double minutes,
      String limit,
      String caution,
      double share,
      AnswerView yes,
      AnswerView no) {}

  /** What an answer would tell. */
  public record AnswerView(String say, double chance, List<AfterLine> after, String then) {}

  /** A fault's chance after an answer. */
  public record AfterLine(String id, String title, double before, double chance) {}

  /** A test that was done. */
  public record TestDone(String id, String title, String answer, boolean yes) {}
}
