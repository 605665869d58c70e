package isokinon.core.unit;

import isokinon.core.unit.ShownUnit.Quantity;
import isokinon.core.value.Numbers;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * The units a shop is shown, one of each kind.
 *
 * @param torque in which bolts are drawn down
 * @param temperature in which heat is read
 * @param pressure in which pressure is read
 * @param volume in which liquids are measured out
 */
public record ShopUnits(
    ShownUnit torque, ShownUnit temperature, ShownUnit pressure, ShownUnit volume) {

  /** The units of the records themselves. */
  public static final ShopUnits OF_RECORDS =
      new ShopUnits(ShownUnit.NEWTON_METRE, ShownUnit.CELSIUS, ShownUnit.BAR, ShownUnit.LITRE);

  private static final String NUMBER = "[-−]?\\d+(?:[\\u2009\\u202f]\\d{3})*(?:\\.\\d+)?";

  /**
   * A number or a range, a space, a unit of the records. A unit with no number before it is left:
   * the numbers it stands over are of the records, too. So is one that goes on, as L/min, mg/L.
   */
  private static final Pattern MEASURED =
      Pattern.compile(
          "(?<![\\p{L}\\d./-])(?:("
              + NUMBER
              + ")( to | and | or |–))?("
              + NUMBER
              + ")([ \\u00a0\\u2009\\u202f]?)(°C|degC|N·m|bar|L|K)(?![\\p{L}\\d/·²³^-])");

  /**
   * @throws IllegalArgumentException where a unit is of another kind
   */
  public ShopUnits {
    is(Quantity.TORQUE, torque);
    is(Quantity.TEMPERATURE, temperature);
    is(Quantity.PRESSURE, pressure);
    is(Quantity.VOLUME, volume);
  }

  private static void is(Quantity quantity, ShownUnit unit) {
    if (unit.quantity() != quantity) {
      throw new IllegalArgumentException(unit.word() + " is no unit of " + quantity.code());
    }
  }

  /** The four, in the order of {@link Quantity}. */
  public List<ShownUnit> all() {
    return List.of(torque, temperature, pressure, volume);
  }

  /**
   * A sentence with every quantity in it in the shop's units: "80 to 95 °C" is "176 to 203 °F". As
   * many digits as say as much.
   */
  public String sentence(String text) {
    if (equals(OF_RECORDS)) {
      return text;
    }
    return MEASURED.matcher(text).replaceAll(this::shown);
  }

  private String shown(MatchResult m) {
    boolean difference = m.group(5).equals("K");
    ShownUnit unit =
        switch (m.group(5)) {
          case "N·m" -> torque;
          case "bar" -> pressure;
          case "L" -> volume;
          default -> temperature;
        };
    if (unit.isOfRecords()) {
      return m.group();
    }
    String from = m.group(1) == null ? "" : number(m.group(1), unit, difference) + m.group(2);
    return from + number(m.group(3), unit, difference) + m.group(4) + unit.word();
  }

  private static String number(String written, ShownUnit unit, boolean difference) {
    String plain = written.replaceAll("[\\u2009\\u202f]", "").replace('−', '-');
    int point = plain.indexOf('.');
    int decimals = point < 0 ? 0 : plain.length() - point - 1;
    double value = Double.parseDouble(plain);
    String text =
        BigDecimal.valueOf(difference ? unit.ofDifference(value) : unit.of(value))
            .setScale(unit.decimals(decimals), RoundingMode.HALF_UP)
            .toPlainString();
    return Numbers.grouped(text);
  }
}
