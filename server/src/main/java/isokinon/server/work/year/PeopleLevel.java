package isokinon.server.work.year;

import isokinon.core.value.Code;

/** Who is at the bench. */
public enum PeopleLevel implements Code {
  /** By the shifts of the diary. */
  AS_THEY_ARE,
  /** One more, with the hours of the person who has most. */
  ONE_MORE,
  /** Without the person who has fewest hours. */
  ONE_LESS
}
