package isokinon.server.work.rebuild;

/** Words in the text columns of stored events. They are written and read here and nowhere else. */
final class Items {

  static final String RENEW = "renew:";
  static final String INSPECT = "inspect:";
  static final String WAY = "way:";
  static final String AVOID = "avoid:";
  static final String WHY = "why:";
  static final String SIGN = "sign:";
  static final String COUNTER = "counter:";
  static final String MATERIAL = "material:";
  static final String HOURS = "hours:";
  static final String PLANNED = "planned:";
  static final String DAY = "day:";
  static final String GAUGE = "gauge:";

  /** A further reading of a part, its fields parted by {@link #FIELD}. */
  static final String READ = "read:";

  /** Parts the fields of a reading. */
  static final String FIELD = "|";

  /** The gauge of a reading was out of calibration. */
  static final String OVERDUE = "overdue";

  /** Subject of a fault that the diagnosis tables do not have. */
  static final String OTHER = "other";

  /** First item of a cause that nobody knows. */
  static final String UNKNOWN = "unknown";

  /** Text of a torque at which a click wrench gave way. */
  static final String CLICKED = "clicked";

  /** Unit of a torque. */
  static final String NM = "N·m";

  /** How the text of an older hand-back begins. */
  static final String DUE = "next due ";

  private Items() {}
}
