package isokinon.server.access;

import isokinon.core.person.PersonRole;
import java.io.Serializable;

/**
 * Who asks, as the session says; never as the request says.
 *
 * @param initials the person
 * @param role what the person does in the shop
 * @param licensed whether licensed for electrical work
 * @param device what the device is called
 * @param ownPinDue whether the PIN was set by a lead, so that another has to be chosen first
 */
public record SignedIn(
    String initials, PersonRole role, boolean licensed, String device, boolean ownPinDue)
    implements Serializable {

  /** Whether this person has a right now. */
  public boolean may(Right right) {
    return right.of(role) && (!ownPinDue || right == Right.OPEN || right == Right.OWN);
  }

  /** Whether this person leads. */
  public boolean leads() {
    return role == PersonRole.LEAD;
  }

  /**
   * Makes sure of a right that depends on what is asked.
   *
   * @throws NotAllowed where this person has it not
   */
  public void requires(Right right) {
    if (!may(right)) {
      throw new NotAllowed(this, right);
    }
  }
}
