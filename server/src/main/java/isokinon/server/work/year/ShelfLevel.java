package isokinon.server.work.year;

import isokinon.core.value.Code;

/** How many pieces of each kit lie on the shelf or are on their way. */
public enum ShelfLevel implements Code {
  /** As many as may be fitted today. */
  AS_IT_IS,
  /** As many as the stores advise, and no fewer than today. */
  AS_ADVISED,
  /** One more of each kit than today. */
  ONE_MORE
}
