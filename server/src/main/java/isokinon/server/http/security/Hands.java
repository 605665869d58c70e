package isokinon.server.http.security;

import isokinon.core.rules.Actor;
import isokinon.server.access.Pins;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.work.bench.ActRequest;
import isokinon.server.work.bench.Hand;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Whose hand an act is: the person's who is signed in, or another's, who comes to the same device
 * and signs for this one act with a PIN of their own. Both are on the record then. Who is signed in
 * may sign so too, where an act wants a hand that is surely theirs.
 */
@Component
public class Hands {

  private final Pins pins;

  Hands(Pins pins) {
    this.pins = pins;
  }

  /**
   * The hand of an act.
   *
   * @throws isokinon.server.access.SignInRefused where the PIN of who signs opens nothing
   * @throws isokinon.server.access.NotAllowed where who signs does no work at pumps
   */
  public Hand of(SignedIn me, Optional<ActRequest.Signer> signer) {
    if (signer.isEmpty()) {
      return new Hand(actor(me), me.device(), false);
    }
    SignedIn other = pins.tries(signer.get().initials(), signer.get().pin()).person();
    other.requires(Right.WORK);
    return new Hand(actor(other), where(me, other), true);
  }

  /** Who acts, as the rules ask. */
  public static Actor actor(SignedIn who) {
    return new Actor(who.initials(), who.leads(), who.licensed());
  }

  private static String where(SignedIn me, SignedIn other) {
    if (other.initials().equals(me.initials())) {
      return me.device();
    }
    return (me.device().isEmpty() ? "" : me.device() + ", ") + "beside " + me.initials();
  }
}
