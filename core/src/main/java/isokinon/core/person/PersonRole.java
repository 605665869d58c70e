package isokinon.core.person;

import isokinon.core.value.Code;

/** What a person does in the shop. */
public enum PersonRole implements Code {
  TECHNICIAN,
  /** Decides: accepts what is out of range. */
  LEAD,
  STOREKEEPER,
  /** A screen on a wall, which nobody stands at: it only shows. */
  DISPLAY
}
