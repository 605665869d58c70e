package isokinon.core.diaphragm;

import isokinon.core.value.Range;

/** The oil behind an oil-backed diaphragm and the gas in its accumulator. */
public final class OilHead {

  private static final double FILL_WITHIN = 0.05;
  private static final double LEAST_CHARGE = 0.1;
  private static final double MOST_CHARGE = 0.2;

  private OilHead() {}

  /** From one value to another, both included. */
  public record Band(double least, double most) {

    /** Whether a value lies in it. */
    public boolean holds(double value) {
      return value >= least && value <= most;
    }
  }

  /** Oil that counts as filled right: the sheet's volume give or take 5 %, mL. */
  public static Band fill(double sheetMl) {
    Range.check("sheetMl", sheetMl, 0.1, 1e6);
    return new Band(sheetMl * (1 - FILL_WITHIN), sheetMl * (1 + FILL_WITHIN));
  }

  /** Charge of the accumulator: 10 to 20 % of working pressure, bar. */
  public static Band charge(double workingBar) {
    Range.check("workingBar", workingBar, 0.01, 1000);
    return new Band(workingBar * LEAST_CHARGE, workingBar * MOST_CHARGE);
  }
}
