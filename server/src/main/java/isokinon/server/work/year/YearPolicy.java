package isokinon.server.work.year;

import isokinon.core.value.Code;

/** By what the sets of a shop are renewed through the year. */
public enum YearPolicy implements Code {
  /** As each pump is kept now, with what stands in the diary. */
  AS_TODAY,
  /** Each pump by the way that costs least of those it may be kept by. */
  AS_ADVISED,
  /** Each pump at its best age, whether or not looking or waiting costs less. */
  AT_AN_AGE,
  /** Each pump until it fails, but for those whose failure harms or that have a longest time in. */
  UNTIL_THEY_FAIL
}
