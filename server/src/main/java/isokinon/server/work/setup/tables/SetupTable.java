package isokinon.server.work.setup.tables;

import isokinon.core.value.Code;
import isokinon.server.access.Right;

/** The tables of a shop's set-up, in the order in which a new shop needs them. */
public enum SetupTable implements Code {
  AREAS("Areas", "area", Right.LEAD),
  PUMPS("Pumps", "pump", Right.LEAD),
  DUTIES("Duties", "fluid of a pump", Right.LEAD),
  FITTED_PARTS("What is in them", "part in a pump", Right.LEAD),
  RUNS("Past runs", "past run", Right.LEAD),
  COUNTERS("Counter readings", "counter reading", Right.LEAD),
  UNITS("Units", "unit", Right.LEAD),
  ENERGIES("Energies", "place where an energy is cut", Right.LEAD),
  PAIRS("Lines and pairs", "line or pair of a pump", Right.LEAD),
  WRENCHES("Wrenches", "wrench", Right.LEAD),
  GAUGES("Gauges", "gauge", Right.LEAD),
  KITS("Kits on offer", "kit on offer", Right.LEAD),
  OFFERS("Parts on offer", "part on offer", Right.LEAD),
  CONSUMABLE_OFFERS("Grease and oil on offer", "consumable on offer", Right.LEAD),
  LOTS("Lots", "lot", Right.STOCK),
  PEOPLE("People", "person", Right.LEAD),
  SHIFTS("Shifts", "shift", Right.LEAD),
  HOLIDAYS("Days off", "day off", Right.LEAD),
  FIXTURES("Fixtures", "fixture", Right.LEAD),
  LINE_STOPS("Line stops", "line stop", Right.LEAD);

  private final String title;
  private final String one;
  private final Right right;

  SetupTable(String title, String one, Right right) {
    this.title = title;
    this.one = one;
    this.right = right;
  }

  /** What it is called on screen. */
  public String title() {
    return title;
  }

  /** What one row of it is, in small letters. */
  public String one() {
    return one;
  }

  /** Who fills it. */
  public Right right() {
    return right;
  }
}
