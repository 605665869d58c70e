package isokinon.server.work.life.score;

import java.util.List;
import java.util.Optional;

/**
 * How often forecasts were right.
 *
 * @param headline what was said and what came, as a sentence
 * @param say how far it can be trusted, as a sentence
 * @param sets that are scored
 * @param kept of how many of them the forecast was kept when the date was set; of the others it is
 *     worked out from what was known on the day they went in
 * @param early sound sets that came out well before their date: they say nothing of it
 * @param all scored sets together
 * @param bins by what was said
 * @param skill how much nearer than saying the average each time, 1 at best
 * @param average share that failed, 0 to 1
 * @param scored each set
 * @param surprises where it was most wrong
 * @param ways what sets cost that came out sooner than advised, as advised, later
 * @param followed what that comes to, as a sentence; empty where there are too few
 * @param roles parts that may be asked for
 */
public record ScoreView(
    String headline,
    String say,
    int sets,
    int kept,
    int early,
    ScoreBin all,
    List<ScoreBin> bins,
    double skill,
    double average,
    List<ScoredSet> scored,
    List<ScoredSet> surprises,
    List<FollowedWay> ways,
    String followed,
    List<String> roles) {

  /**
   * Forecasts that said about the same.
   *
   * @param from chance that was said, 0 to 1
   * @param to up to this chance
   * @param sets how many
   * @param said mean of the chances
   * @param failed how many failed
   * @param low fewest that luck allows, nine times in ten
   * @param high most of them
   * @param parts whether it is outside of that
   */
  public record ScoreBin(
      double from,
      double to,
      int sets,
      double said,
      int failed,
      int low,
      int high,
      boolean parts) {}

  /**
   * A set.
   *
   * @param ended the day it came out
   * @param said chance of failing before its date, 0 to 1
   * @param failed whether it did
   * @param late by how much later than advised it came out, or was to come out when it failed, as a
   *     share of the advised age; empty where none was advised
   * @param cause why it came out
   */
  public record ScoredSet(
      String pump,
      String material,
      String ended,
      double said,
      boolean failed,
      Optional<Double> late,
      String cause) {}

  /**
   * Sets that came out alike.
   *
   * @param title sooner, as advised, later
   * @param sets how many
   * @param failed how many failed
   * @param per1000 pounds for each 1 000 h
   * @param low as few failures as luck allows
   * @param high as many
   */
  public record FollowedWay(
      String title, int sets, int failed, double per1000, double low, double high) {}
}
