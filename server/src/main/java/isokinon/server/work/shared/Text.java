package isokinon.server.work.shared;

import isokinon.core.sheet.Handling;
import isokinon.core.value.Numbers;
import isokinon.core.value.Source;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The few turns of phrase that several sentences share. */
public final class Text {

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);
  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.UK);
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm");

  private Text() {}

  /** A tool id in words: {@code socket-13} is a 13 mm socket. */
  public static String tool(String id) {
    int dash = id.lastIndexOf('-');
    boolean sized = dash > 0 && id.substring(dash + 1).matches("\\d+");
    String name = (sized ? id.substring(0, dash) : id).replace('-', ' ');
    return sized
        ? id.substring(dash + 1) + " mm " + name
        : name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
  }

  /** What a joint asks for: fasteners, torque range, what is on the threads. */
  public static String joint(Handling.Fastening f) {
    return f.count()
        + " "
        + f.thread()
        + ", "
        + plain(f.minNm())
        + " to "
        + plain(f.maxNm())
        + " N·m, threads "
        + f.threads();
  }

  /** Where a value of a sheet comes from. */
  public static String source(Source source) {
    return switch (source.kind()) {
      case STARTING -> "a starting value";
      case TABLE -> "a table value";
      case MANUAL -> "manual p. " + source.page();
    };
  }

  /** A number without needless decimals, a thin space between its thousands. */
  public static String plain(double value) {
    double rounded = Math.round(value * 1000) / 1000.0;
    String digits =
        rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
    return Numbers.grouped(digits);
  }

  /** A number that is not known better than to two digits. */
  public static String about(double value) {
    double step = Math.pow(10, Math.max(0, Math.floor(Math.log10(Math.max(1, value))) - 1));
    return plain(Math.rint(value / step) * step);
  }

  /** A number as a table has it: no thin spaces, no needless decimals. */
  public static String digits(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }

  /** A day as people write it. */
  public static String day(LocalDate day) {
    return DAY.format(day);
  }

  /** A day with its time, as in "3 Mar 2026 14:05". */
  public static String minute(ZonedDateTime at) {
    return MINUTE.format(at);
  }

  /** A time of day, as in "14:05". */
  public static String time(ZonedDateTime at) {
    return TIME.format(at);
  }

  /** A kebab-case id as words. */
  public static String words(String id) {
    return id.replace('-', ' ');
  }

  /**
   * A substance, how much of it, and what it goes on.
   *
   * @param to what the parts are called within a sentence
   */
  public static String applied(Handling.Apply a, Stream<String> to) {
    return sentence(a.what())
        + a.amount().map(m -> " " + plain(m.value()) + " " + m.unit().sign()).orElse("")
        + ", "
        + to.collect(Collectors.joining(", "));
  }

  /** The first letter raised. */
  public static String sentence(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  /** A phrase as a whole sentence, with its stop. */
  public static String wholeSentence(String phrase) {
    return sentence(phrase) + ".";
  }

  /**
   * A name in the middle of a sentence: the first letter small, unless the word is all capitals.
   */
  public static String inSentence(String name) {
    boolean letters = name.length() > 1 && Character.isUpperCase(name.charAt(1));
    boolean hyphen = name.length() > 1 && name.charAt(1) == '-';
    return name.isEmpty() || letters || hyphen
        ? name
        : name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }

  /** A unit as it is shown; sheets write degrees without the sign. */
  public static String unit(String unit) {
    return unit.equals("degC") ? "°C" : unit;
  }

  /** {@code 1 part}, {@code 2 parts}. */
  public static String count(long n, String one) {
    return n + " " + one + (n == 1 ? "" : "s");
  }

  /** What was typed, without the blanks around it; empty where nothing was. */
  public static String typed(String text) {
    return text == null ? "" : text.strip();
  }

  /** A text that must fit into a column, cut where it does not. */
  public static String clipped(String text, int most) {
    return text.length() <= most ? text : text.substring(0, most - 1) + "…";
  }
}
