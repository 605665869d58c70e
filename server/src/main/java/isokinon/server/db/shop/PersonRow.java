package isokinon.server.db.shop;

import isokinon.core.person.PersonRole;
import java.time.OffsetDateTime;

/** A person of the shop; who has left has the time of it. */
public record PersonRow(
    String initials, PersonRole role, boolean licensedElectrical, OffsetDateTime retiredAt) {

  /** Whether the person has not left. */
  public boolean worksHere() {
    return retiredAt == null;
  }
}
