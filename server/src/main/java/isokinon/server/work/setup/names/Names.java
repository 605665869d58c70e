package isokinon.server.work.setup.names;

import isokinon.core.value.Code;

/** Where the names come from that a column may hold. */
public enum Names implements Code {
  /** Any. */
  ANY,
  AREAS,
  PUMPS,
  /** Pumps in service and retired ones, whose records stay. */
  PUMPS_EVER,
  SHEETS,
  FAMILIES,
  FLUIDS,
  MATERIALS,
  PEOPLE,
  ROLES,
  CONSUMABLES,
  ABRASION,
  CONSEQUENCE,
  FLUID_USE,
  RUN_ENDS,
  COUNTERS,
  WEAR_COUNTS,
  WEEKDAYS;

  /**
   * Whether a name that is not known may be written all the same: it is then the first of its kind.
   */
  public boolean open() {
    return this == ANY || this == AREAS;
  }
}
