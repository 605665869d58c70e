package isokinon.server.work.instruments;

import isokinon.core.unit.ShownUnit;
import isokinon.server.work.shared.RequestProblem;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.measure.IncommensurableException;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.unit.Units;

/**
 * Typed readings: text and a unit in, a number in the unit asked for out. Understands a decimal
 * comma and a unit written after the number. Whatever it cannot use it refuses with a sentence; the
 * typed text stays with the caller.
 */
public final class Readings {

  private static final Pattern TYPED =
      Pattern.compile("([+-]?[0-9]*[.,]?[0-9]+(?:[eE][+-]?[0-9]+)?)(?:\\s*([^\\s0-9.,+-].*))?");

  private static final Unit<?> NEWTON_METRE = Units.NEWTON.multiply(Units.METRE);
  private static final Unit<?> FAHRENHEIT =
      Units.CELSIUS.multiply(ShownUnit.FAHRENHEIT.inRecords()).shift(-32);
  private static final Unit<?> BAR = Units.PASCAL.multiply(100_000);

  /** Units by the way they are written; the first of each kind is how it is shown. */
  private static final Map<String, Unit<?>> UNITS =
      Map.ofEntries(
          Map.entry("nm", NEWTON_METRE),
          Map.entry("ftlbf", NEWTON_METRE.multiply(ShownUnit.POUND_FOOT.inRecords())),
          Map.entry("inlbf", NEWTON_METRE.multiply(0.1129848290276)),
          Map.entry("mm", MetricPrefix.MILLI(Units.METRE)),
          Map.entry("m", Units.METRE),
          Map.entry("in", Units.METRE.multiply(0.0254)),
          Map.entry("s", Units.SECOND),
          Map.entry("min", Units.MINUTE),
          Map.entry("h", Units.HOUR),
          Map.entry("bar", BAR),
          Map.entry("kpa", Units.PASCAL.multiply(1_000)),
          Map.entry("psi", BAR.multiply(ShownUnit.PSI.inRecords())),
          Map.entry("degc", Units.CELSIUS),
          Map.entry("degf", FAHRENHEIT),
          Map.entry("l", Units.LITRE),
          Map.entry("gal", Units.LITRE.multiply(ShownUnit.US_GALLON.inRecords())),
          Map.entry("ml", MetricPrefix.MILLI(Units.LITRE)),
          Map.entry("ph", AbstractUnit.ONE),
          Map.entry("shorea", AbstractUnit.ONE.alternate("ShoreA")),
          Map.entry("v", Units.VOLT),
          Map.entry("a", Units.AMPERE),
          Map.entry("ma", MetricPrefix.MILLI(Units.AMPERE)),
          Map.entry("ohm", Units.OHM),
          Map.entry("k", Units.KELVIN),
          Map.entry("mbar", BAR.divide(1_000)),
          Map.entry("m3/h", Units.CUBIC_METRE.divide(Units.HOUR)),
          Map.entry("l/min", Units.LITRE.divide(Units.MINUTE)),
          Map.entry("l/h", Units.LITRE.divide(Units.HOUR)),
          Map.entry("mm/s", MetricPrefix.MILLI(Units.METRE).divide(Units.SECOND)),
          Map.entry("1/min", AbstractUnit.ONE.divide(Units.MINUTE)));

  private Readings() {}

  /**
   * The number in {@code wanted} that was typed.
   *
   * @param typed what the person typed
   * @param given the unit the field was set to; empty for the wanted one
   * @param wanted the unit the sheet asks in
   * @param path field that a fault is told at
   * @throws RequestProblem with a sentence at {@code path} where there is no such number
   */
  public static double parse(String typed, String given, String wanted, String path) {
    Matcher m = TYPED.matcher(typed.strip());
    if (!m.matches()) {
      throw RequestProblem.invalid(
          path, "\"" + shortened(typed) + "\" is not a number. Type it in " + wanted + ".");
    }
    double number = Double.parseDouble(m.group(1).replace(',', '.'));
    if (!Double.isFinite(number)) {
      throw RequestProblem.invalid(
          path, "\"" + shortened(typed) + "\" is too large to be a reading.");
    }
    String unit = m.group(2) != null ? m.group(2) : given.isBlank() ? wanted : given;
    return convert(number, unit, wanted, path);
  }

  private static double convert(double number, String from, String to, String path) {
    if (word(from).equals(word(to))) {
      return number;
    }
    Unit<?> source = UNITS.get(word(from));
    Unit<?> target = UNITS.get(word(to));
    if (source == null) {
      throw RequestProblem.invalid(
          path, "No unit is called \"" + shortened(from) + "\" here; " + to + " is asked for.");
    }
    try {
      return source.getConverterToAny(target == null ? AbstractUnit.ONE : target).convert(number);
    } catch (IncommensurableException e) {
      throw RequestProblem.invalid(
          path, shortened(from) + " is the wrong unit: " + to + " is asked for.");
    }
  }

  /** Units a reading asked for in {@code wanted} may also be typed in. */
  static List<String> alternatives(String wanted) {
    return word(wanted).equals("nm") ? List.of("N·m", "ft·lbf") : List.of(wanted);
  }

  private static String word(String unit) {
    return unit.strip().toLowerCase(Locale.ROOT).replace("°", "deg").replaceAll("[·.\\s-]", "");
  }

  private static String shortened(String text) {
    return text.length() <= 40 ? text : text.substring(0, 40) + "…";
  }
}
