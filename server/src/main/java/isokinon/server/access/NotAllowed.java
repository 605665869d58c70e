package isokinon.server.access;

/** Somebody who is signed in asks for what is not theirs to do. */
public final class NotAllowed extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Says who may, to {@code who} who may not. */
  public NotAllowed(SignedIn who, Right right) {
    super(
        who.ownPinDue()
            ? "Choose a PIN of your own first: this one was set by a lead."
            : "That is for "
                + right.who()
                + "; "
                + who.initials()
                + " is a "
                + who.role().code()
                + ".");
  }
}
