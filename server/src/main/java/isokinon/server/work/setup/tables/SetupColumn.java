package isokinon.server.work.setup.tables;

import isokinon.core.value.Code;
import isokinon.server.work.history.Counters;
import isokinon.server.work.setup.names.KnownNames;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.TemporalAccessor;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A column of a table of the set-up.
 *
 * @param id its heading in our own tables
 * @param title what it is called on screen
 * @param says what it takes, a few words
 * @param holds what it holds
 * @param unit unit of its number; empty where it has none
 * @param needed whether a row must have it
 * @param first whether a form shows it at once, else folded away
 * @param min least number
 * @param max greatest number, or how long a text may be
 * @param of where its names come from
 * @param alsoCalled headings people give it in their own tables, in small letters
 */
public record SetupColumn(
    String id,
    String title,
    String says,
    Holds holds,
    String unit,
    boolean needed,
    boolean first,
    double min,
    double max,
    Names of,
    List<String> alsoCalled) {

  /** What a column holds. */
  public enum Holds implements Code {
    TEXT,
    NUMBER,
    WHOLE,
    DAY,
    /** A time of day. */
    TIME,
    /** A day with its time, by the clock of the shop. */
    MOMENT,
    /** The same, or a day alone, which is taken for its evening. */
    DAY_OR_MOMENT,
    YES_NO,
    /** A name that is known here. */
    NAME
  }

  private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm");

  private static final Set<String> YES = Set.of("yes", "y", "true", "1", "x", "ja");
  private static final Set<String> NO = Set.of("no", "n", "false", "0", "nein", "");

  /** A text of at most so many characters. */
  public static SetupColumn text(String id, String title, int most) {
    return of(id, title, Holds.TEXT, "", 0, most);
  }

  /** A number from {@code min} to {@code max}, both in the unit. */
  public static SetupColumn number(String id, String title, String unit, double min, double max) {
    return of(id, title, Holds.NUMBER, unit, min, max);
  }

  /** A whole number. */
  public static SetupColumn whole(String id, String title, String unit, double min, double max) {
    return of(id, title, Holds.WHOLE, unit, min, max);
  }

  /** A name of a kind. */
  public static SetupColumn name(String id, String title, Names names) {
    return new SetupColumn(
        id, title, "", Holds.NAME, "", false, false, 0, MOST_NAME, names, List.of());
  }

  /** A column that holds this and has no bounds of its own. */
  public static SetupColumn plain(String id, String title, Holds holds) {
    return of(id, title, holds, "", 0, MOST_NAME);
  }

  private static final int MOST_NAME = 90;

  private static SetupColumn of(
      String id, String title, Holds holds, String unit, double min, double max) {
    return new SetupColumn(
        id, title, "", holds, unit, false, false, min, max, Names.ANY, List.of());
  }

  /** The same, needed in every row and shown at once. */
  public SetupColumn must() {
    return new SetupColumn(id, title, says, holds, unit, true, true, min, max, of, alsoCalled);
  }

  /** The same, shown at once. */
  public SetupColumn atOnce() {
    return new SetupColumn(id, title, says, holds, unit, needed, true, min, max, of, alsoCalled);
  }

  /** The same with a few words of what it takes. */
  public SetupColumn saying(String words) {
    return new SetupColumn(id, title, words, holds, unit, needed, first, min, max, of, alsoCalled);
  }

  /** The same with headings people give it. */
  public SetupColumn also(String... headings) {
    return new SetupColumn(
        id, title, says, holds, unit, needed, first, min, max, of, List.of(headings));
  }

  /**
   * What was typed, as it is kept: numbers and days as every machine reads them.
   *
   * @param value as it is kept; empty where nothing was typed or it is at fault
   * @param fault what is wrong with it, in a sentence; empty where nothing is
   */
  public record Read(String value, Optional<String> fault) {

    static Read of(String value) {
      return new Read(value, Optional.empty());
    }

    static Read wrong(String sentence) {
      return new Read("", Optional.of(sentence));
    }
  }

  /**
   * Reads what was typed.
   *
   * @param monthFirst whether 03/01/2026 is the first of March
   */
  public Read read(String typed, boolean monthFirst, KnownNames names) {
    String word = typed == null ? "" : typed.strip();
    if (word.isEmpty() && holds != Holds.YES_NO) {
      return needed ? Read.wrong(title + " is missing.") : Read.of("");
    }
    return switch (holds) {
      case TEXT ->
          word.length() > max
              ? Read.wrong(title + " has " + word.length() + " characters; " + most() + " fit.")
              : Read.of(word);
      case NUMBER, WHOLE -> number(word);
      case DAY ->
          TableValues.day(word, monthFirst)
              .map(d -> Read.of(d.toString()))
              .orElseGet(() -> Read.wrong("\"" + word + "\" is no day, as 2026-03-01 is."));
      case TIME -> time(word).map(Read::of).orElseGet(() -> Read.wrong(noTime(word)));
      case MOMENT -> moment(word, monthFirst, names.zone());
      case DAY_OR_MOMENT ->
          TableValues.day(word, monthFirst)
              .filter(d -> !word.matches(".*:.*"))
              .map(d -> Read.of(moment(d.atTime(Counters.EVENING))))
              .orElseGet(() -> moment(word, monthFirst, names.zone()));
      case YES_NO -> yesOrNo(word);
      case NAME ->
          word.length() > max
              ? Read.wrong(title + " has " + word.length() + " characters; " + most() + " fit.")
              : names
                  .known(of, word)
                  .map(Read::of)
                  .orElseGet(
                      () ->
                          of.open()
                              ? Read.of(word)
                              : Read.wrong("Nothing here is called \"" + word + "\"."));
    };
  }

  private String most() {
    return Text.plain(max);
  }

  /** What may be typed, in a few words: the bounds of a number, the length of a text. */
  public String takes() {
    return switch (holds) {
      case TEXT -> "up to " + most() + " characters";
      case NUMBER, WHOLE ->
          (holds == Holds.WHOLE ? "a whole number, " : "") + Text.plain(min) + " to " + most();
      case DAY -> "a day, as 2026-03-01";
      case TIME -> "a time of day, as 06:00";
      case MOMENT -> "a day and its time, as 2026-03-01 06:00";
      case DAY_OR_MOMENT -> "a day, or a day and its time, as 2026-03-01 06:00";
      case YES_NO -> "yes or no";
      case NAME -> of.open() ? "a name, or a new one of up to " + most() + " characters" : "a name";
    };
  }

  private String withoutUnit(String word) {
    return !unit.isEmpty() && word.endsWith(unit)
        ? word.substring(0, word.length() - unit.length())
        : word;
  }

  private Read number(String word) {
    Optional<Double> value = TableValues.number(withoutUnit(word));
    if (value.isEmpty()) {
      return Read.wrong("\"" + word + "\" is no number.");
    }
    double v = value.get();
    if (!(v >= min && v <= max)) {
      return Read.wrong(
          title
              + " is "
              + Text.plain(min)
              + " to "
              + Text.plain(max)
              + (unit.isEmpty() ? "" : " " + unit)
              + "; "
              + word
              + " is not.");
    }
    if (holds == Holds.WHOLE && v != Math.rint(v)) {
      return Read.wrong(title + " is a whole number; " + word + " is none.");
    }
    return Read.of(Text.digits(v));
  }

  private static Optional<String> time(String word) {
    try {
      String padded = word.matches("\\d:\\d\\d.*") ? "0" + word : word;
      return Optional.of(LocalTime.parse(padded).toString());
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  private static String noTime(String word) {
    return "\"" + word + "\" is no time of day, as 06:00 is.";
  }

  /** A moment as it is kept: to the minute, by the clock of the shop. */
  public static String moment(TemporalAccessor at) {
    return MOMENT.format(at);
  }

  /** The moment that is kept so, by the clock of the shop. */
  public static ZonedDateTime at(String kept, ZoneId zone) {
    return LocalDateTime.parse(kept, MOMENT).atZone(zone);
  }

  private static Read moment(String word, boolean monthFirst, ZoneId zone) {
    if (word.matches("\\d{4}-.*(Z|[+-]\\d\\d:\\d\\d)")) {
      return elsewhere(word, zone);
    }
    String[] parts = word.split("[T ]+", 2);
    Optional<LocalDate> day = TableValues.day(parts[0], monthFirst);
    Optional<String> time = parts.length > 1 ? time(parts[1]) : Optional.empty();
    return day.isPresent() && time.isPresent()
        ? Read.of(moment(day.get().atTime(LocalTime.parse(time.get()))))
        : noMoment(word);
  }

  /** A moment by another clock, as machines write it. */
  private static Read elsewhere(String word, ZoneId zone) {
    try {
      return Read.of(moment(OffsetDateTime.parse(word.replace(' ', 'T')).atZoneSameInstant(zone)));
    } catch (DateTimeParseException e) {
      return noMoment(word);
    }
  }

  private static Read noMoment(String word) {
    return Read.wrong("\"" + word + "\" is no day and time, as 2026-03-01 06:00 is.");
  }

  private Read yesOrNo(String word) {
    String small = word.toLowerCase(Locale.ROOT);
    if (YES.contains(small)) {
      return Read.of("yes");
    }
    return NO.contains(small)
        ? Read.of("no")
        : Read.wrong("\"" + word + "\" is neither yes nor no.");
  }
}
