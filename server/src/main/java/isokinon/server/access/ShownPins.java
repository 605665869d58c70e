package isokinon.server.access;

import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * PINs that the sign-in page shows, because the shop is made up and everybody is to get in. Empty
 * in every other shop.
 */
@Component
public class ShownPins {

  private final Map<String, String> pins = new TreeMap<>();

  /** Shows the PIN of a person. */
  public synchronized void show(String initials, String pin) {
    pins.put(initials, pin);
  }

  /** A person has chosen another. */
  synchronized void hide(String initials) {
    pins.remove(initials);
  }

  /** Every shown PIN by initials. */
  public synchronized Map<String, String> all() {
    return Map.copyOf(pins);
  }
}
