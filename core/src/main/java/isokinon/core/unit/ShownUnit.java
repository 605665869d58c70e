package isokinon.core.unit;

import isokinon.core.value.Code;

/**
 * A unit a shop may be shown a quantity in. Sheets, library and records hold every quantity in the
 * first unit of its kind; the others are for the eye and for what is typed.
 */
public enum ShownUnit implements Code {
  NEWTON_METRE(Quantity.TORQUE, "N·m", 1, 0, 0),
  /** 0.3048 m times 4.4482216152605 N. */
  POUND_FOOT(Quantity.TORQUE, "ft·lbf", 1.3558179483314, 0, 1),

  CELSIUS(Quantity.TEMPERATURE, "°C", 1, 0, 0),
  FAHRENHEIT(Quantity.TEMPERATURE, "°F", 5.0 / 9, 32, 0),

  BAR(Quantity.PRESSURE, "bar", 1, 0, 0),
  PSI(Quantity.PRESSURE, "psi", 0.06894757293168, 0, -1),

  LITRE(Quantity.VOLUME, "L", 1, 0, 0),
  /** The gallon of 231 cubic inches. */
  US_GALLON(Quantity.VOLUME, "gal", 3.785411784, 0, 2);

  /** What is measured. */
  public enum Quantity implements Code {
    TORQUE,
    TEMPERATURE,
    PRESSURE,
    VOLUME
  }

  private final Quantity quantity;
  private final String word;
  private final double inRecords;
  private final double zero;
  private final int moreDecimals;

  /**
   * @param inRecords how much of the first unit one of this is
   * @param zero what the first unit's zero is in this one
   * @param moreDecimals decimals it needs besides those of the first, to say as much
   */
  ShownUnit(Quantity quantity, String word, double inRecords, double zero, int moreDecimals) {
    this.quantity = quantity;
    this.word = word;
    this.inRecords = inRecords;
    this.zero = zero;
    this.moreDecimals = moreDecimals;
  }

  /** What it measures. */
  public Quantity quantity() {
    return quantity;
  }

  /** As it is written behind a number. */
  public String word() {
    return word;
  }

  /** Whether everything is held in it. */
  public boolean isOfRecords() {
    return inRecords == 1;
  }

  /** How much of the first unit one of this is, wherever the zeros lie. */
  public double inRecords() {
    return inRecords;
  }

  /** A value of the first unit, in this one. */
  public double of(double value) {
    return value / inRecords + zero;
  }

  /** A difference of two values of the first unit, in this one. */
  public double ofDifference(double difference) {
    return difference / inRecords;
  }

  /** Decimals that say as much as so many do in the first unit; none at least. */
  public int decimals(int ofFirst) {
    return Math.max(0, ofFirst + moreDecimals);
  }
}
