package isokinon.core.renewal;

import isokinon.core.value.Code;

/** What a failure of a pump does beside its cost. */
public enum Consequence implements Code {
  NORMAL,
  /** It harms people or the environment. */
  HIGH
}
