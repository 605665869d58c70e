package isokinon.server.work.history;

import java.util.Locale;

/** The fields of a run that is taken out, in their order. */
enum HistoryField {
  TAG,
  UNIT,
  PART_SERIAL,
  PLACE,
  ROLE,
  MATERIAL,
  DUTY,
  CONSTRUCTION,
  FITTED_ON,
  ENDED_ON,
  HOURS,
  COUNTER_IN,
  COUNTER_OUT,
  CAME_HOURS,
  COUNTED,
  COUNTS,
  CAME_COUNT,
  ENDED,
  CAUSE,
  NOTE;

  /** Its column in our own tables. */
  String code() {
    return name().toLowerCase(Locale.ROOT);
  }
}
