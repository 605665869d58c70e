package isokinon.server.work.diary;

import isokinon.core.sheet.Family;
import isokinon.server.work.rounds.RoundView;
import java.util.List;
import java.util.Optional;

/**
 * The diary: six weeks of work. Days count from today, minutes from midnight.
 *
 * @param opens first minute that anybody works
 * @param closes last minute
 * @param waiting jobs of the work list that nobody placed yet
 * @param rounds rounds that fall due in these days, or are over
 * @param unplaced those of them that are due soonest, with what keeps them out
 * @param planned when it was planned last
 * @param search how the plan was found; empty after a restart
 */
public record DiaryView(
    String from,
    int days,
    int opens,
    int closes,
    List<PersonHours> people,
    List<LineStop> stops,
    List<Entry> entries,
    List<Unplaced> unplaced,
    int waiting,
    double failing,
    double wasted,
    List<RoundView> rounds,
    Optional<String> planned,
    Optional<Search> search) {

  /**
   * How good a plan is.
   *
   * @param jobs that could be placed
   * @param placed that were
   * @param gap the share of its cost that the best plan could save at most
   * @param tried changes that were looked at
   * @param cut whether the time ended the search
   */
  public record Search(int jobs, int placed, double gap, long tried, boolean cut) {}

  /** When somebody is at the bench. */
  public record PersonHours(String who, List<Hours> hours) {}

  /** A stretch of a day. */
  public record Hours(int day, int from, int to, boolean overtime) {}

  /** A line that stands still. */
  public record LineStop(String line, String title, int day, int from, int to) {}

  /**
   * A job in its place.
   *
   * @param dueDays days from today to its due day
   * @param risk chance of failing before it is done
   * @param failing what that costs, pounds
   * @param wasted what is wasted of the set, pounds
   */
  public record Entry(
      String pump,
      Family family,
      String duty,
      String who,
      int day,
      int from,
      int to,
      boolean pinned,
      double dueDays,
      double risk,
      double failing,
      double wasted,
      String fixture,
      String line,
      String pair,
      String because) {}

  /** A job that has no place, and why. */
  public record Unplaced(String pump, String duty, double minutes, double dueDays, String cause) {}
}
