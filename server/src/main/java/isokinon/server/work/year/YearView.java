package isokinon.server.work.year;

import isokinon.core.life.FailureCause;
import isokinon.server.work.year.YearQuestion.ChangeKind;
import java.util.List;
import java.util.Optional;

/**
 * A year that was played many times by two policies with the same luck. Bands hold nine years in
 * ten.
 *
 * @param from first day
 * @param years how many times it was played
 * @param pumps that were played
 * @param leaves what is left out of it, as a sentence; empty where nothing is
 * @param left the first policy
 * @param right the second policy
 * @param cheaper in how many of the years the second policy cost less
 * @param fewer in how many of them it had fewer failures
 * @param saves what the second policy saves a year, pounds; negative where it is dearer
 * @param withOwnLuck what that band would be if each policy had luck of its own
 * @param weeks hours of people, week by week
 * @param kits that kept jobs waiting, the most often first
 * @param drivers pumps that the difference comes from, the most first
 * @param others how many pumps are not among them, with what they bring together
 * @param driving where most of it comes from, as a sentence
 * @param changes that may be tried beside the second policy
 */
public record YearView(
    String from,
    int years,
    int pumps,
    String leaves,
    YearSide left,
    YearSide right,
    int cheaper,
    int fewer,
    YearBand saves,
    YearBand withOwnLuck,
    List<YearWeek> weeks,
    List<WaitedKit> kits,
    List<YearDriver> drivers,
    YearOthers others,
    String driving,
    List<ChangeOption> changes) {

  /**
   * The middle, and what holds nine years in ten.
   *
   * @param low one year in twenty is lower
   * @param middle half of the years are lower
   * @param high one year in twenty is higher
   */
  public record YearBand(double low, double middle, double high) {}

  /**
   * One policy.
   *
   * @param policy which one
   * @param title as a sentence begins
   * @param money a year, pounds: what is paid, and by how much more the sets are used up at its end
   *     than at its beginning
   * @param paid a year, pounds
   * @param failures a year
   * @param renewals done a year, those of failed sets among them
   * @param downDays days that pumps stand failed in a year
   * @param moneyOf each year, pounds
   * @param failuresOf each year
   */
  public record YearSide(
      YearPolicy policy,
      String title,
      YearBand money,
      YearBand paid,
      YearBand failures,
      double renewals,
      double downDays,
      List<Integer> moneyOf,
      List<Integer> failuresOf) {}

  /**
   * A week.
   *
   * @param from first day
   * @param hours of people in the usual shifts
   * @param left hours that come to be asked for by the first policy
   * @param right by the second
   * @param overLeft share of the years in which they are more than the shifts hold, 0 to 1
   * @param overRight the same by the second
   */
  public record YearWeek(
      String from,
      double hours,
      YearBand left,
      YearBand right,
      double overLeft,
      double overRight) {}

  /**
   * A kit.
   *
   * @param number of it, to ask for a change
   * @param there pieces on the shelf or on their way
   * @param leadDays days an order takes
   * @param left share of the years in which a job waits for it by the first policy, 0 to 1
   * @param right by the second
   * @param weeksLeft the same share for each week
   * @param weeksRight the same by the second policy
   */
  public record WaitedKit(
      int number,
      String name,
      int there,
      int leadDays,
      double left,
      double right,
      List<Double> weeksLeft,
      List<Double> weeksRight) {}

  /**
   * A pump.
   *
   * @param from how it is kept by the first policy
   * @param to by the second
   * @param saves mean, pounds a year
   * @param low a quarter of the years save less
   * @param high a quarter of the years save more
   */
  public record YearDriver(
      String pump, String from, String to, double saves, double low, double high) {}

  /**
   * The pumps that are not told one by one.
   *
   * @param pumps how many
   * @param saves what they save together, pounds a year; negative where they are dearer
   */
  public record YearOthers(int pumps, double saves) {}

  /**
   * A change that may be tried.
   *
   * @param say what it is called
   * @param kind what it is about
   * @param pump it is about; absent where it is none
   * @param kit number of the kit it is about; absent where it is none
   * @param pieces so many more of the kit
   * @param cause that is prevented
   */
  public record ChangeOption(
      String say,
      ChangeKind kind,
      Optional<String> pump,
      Optional<Integer> kit,
      Optional<Integer> pieces,
      Optional<FailureCause> cause) {}

  /**
   * A change that was tried.
   *
   * @param saves against the second policy, pounds a year; negative where it is dearer
   * @param mean pounds a year
   * @param because what it does, as a sentence
   * @param savesOf each year, pounds
   */
  public record TriedChange(
      String say, double mean, YearBand saves, String because, List<Integer> savesOf) {}

  /**
   * How far a year has come.
   *
   * @param id to ask for it again
   * @param done years played so far, of both policies and of a change together
   * @param of that are to be played
   * @param playing what is being played; empty where nothing is
   * @param year what it came to; empty until it is played
   * @param changes that were tried, in their order
   * @param problem why it ended without an answer; empty where it did not
   */
  public record YearRunView(
      String id,
      int done,
      int of,
      String playing,
      Optional<YearView> year,
      List<TriedChange> changes,
      String problem) {}
}
