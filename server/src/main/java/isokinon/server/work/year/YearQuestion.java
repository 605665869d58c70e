package isokinon.server.work.year;

import isokinon.core.life.FailureCause;
import isokinon.core.value.Code;

/**
 * A year to be played by two policies.
 *
 * @param left policy that is compared; as today where it is left out
 * @param right policy beside it; as advised where it is left out
 * @param shelf what lies on the shelf in both; as it is where it is left out
 * @param people who is at the bench in both; as they are where it is left out
 * @param years how many times it is played; 1 000 where it is left out
 */
public record YearQuestion(
    YearPolicy left, YearPolicy right, ShelfLevel shelf, PeopleLevel people, Integer years) {

  private static final int USUAL = 1_000;

  YearQuestion filled() {
    return new YearQuestion(
        left == null ? YearPolicy.AS_TODAY : left,
        right == null ? YearPolicy.AS_ADVISED : right,
        shelf == null ? ShelfLevel.AS_IT_IS : shelf,
        people == null ? PeopleLevel.AS_THEY_ARE : people,
        years == null ? USUAL : years);
  }

  /** What one change is about. */
  public enum ChangeKind implements Code {
    /** Pieces of a kit more on the shelf. */
    KIT,
    /** One person more at the bench. */
    ONE_PERSON_MORE,
    /** One person less at the bench. */
    ONE_PERSON_LESS,
    /** A pump renewed at an age. */
    AT_AN_AGE,
    /** A pump run until it fails. */
    UNTIL_IT_FAILS,
    /** A cause of failure prevented at a pump. */
    PREVENTED
  }

  /**
   * One change beside the second policy.
   *
   * @param kind what it is about
   * @param pump whose set is kept otherwise, or whose failures are prevented
   * @param kit number of the kit in the answer, from 0
   * @param pieces so many more of the kit; negative for fewer
   * @param hours age of renewal, h
   * @param cause that is prevented
   */
  public record ChangeQuestion(
      ChangeKind kind,
      String pump,
      Integer kit,
      Integer pieces,
      Double hours,
      FailureCause cause) {}
}
