package isokinon.server.db;

/** Kinds of stored data, as far as something that is kept in memory depends on them. */
public enum Topic {
  /** Positions, the units in them, their intervals. */
  PUMPS,
  /** The day a pump is planned to come to the bench. */
  PLANS,
  /** Running hours and strokes, read or carried on. */
  COUNTERS,
  /** Duties: exposures, solids, pressures, what stands in a wet end. */
  DUTIES,
  /** What stands in the pumps: material, serial, age. */
  FITTED,
  /** Finished runs. */
  RUNS,
  /** How wear parts are kept. */
  POLICIES,
  /** What is believed of the lives of a large group, worked out beside. */
  LIVES,
  /** The failure modes that people chose for groups of wear parts. */
  FAILURE_MODES,
  /** What was forecast of sets when their date was set. */
  FORECASTS,
  /** Readings, causes, faults and next looks. */
  FINDINGS,
  /** Jobs that are opened and closed. */
  REBUILDS,
  /** What is done at the bench. */
  EVENTS,
  /** Own rows of the material library, and what was seen of materials. */
  MATERIALS,
  /** Assembly sheets. */
  SHEETS,
  /** Kits and single parts that can be bought. */
  CATALOGUE,
  /** Lots, pieces held, kept parts. */
  SHELF,
  /** The diary: shifts, fixtures, stops, entries. */
  DIARY,
  /** People, wrenches, gauges, settings of the shop. */
  SHOP
}
