package isokinon.core.stock;

import isokinon.core.value.Code;

/** What changed the count of a lot. */
public enum MovementKind implements Code {
  RECEIVED,
  ISSUED,
  RETURNED,
  COUNTED,
  SCRAPPED,
  /** Fitted by a job that took it. */
  BOOKED
}
