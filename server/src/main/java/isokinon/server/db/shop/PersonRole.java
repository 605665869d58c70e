package isokinon.server.db.shop;

import isokinon.core.value.Code;

/** What a person does in the shop. */
public enum PersonRole implements Code {
  TECHNICIAN,
  /** Decides: accepts what is out of range. */
  LEAD,
  STOREKEEPER
}
