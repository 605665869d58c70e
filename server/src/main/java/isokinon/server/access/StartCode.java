package isokinon.server.access;

import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Six digits that the server prints where it starts while no lead can sign in: whoever reads them
 * there may say who the first lead is, and nobody else on the network may.
 */
@Component
public class StartCode {

  private static final int TRIES = 10;
  private static final int LAST = 5;

  private final Pins pins;
  private final SecureRandom random = new SecureRandom();
  private String code = "";
  private int wrong;

  StartCode(Pins pins) {
    this.pins = pins;
  }

  /** Makes one and prints it, where it is needed. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(LAST)
  public synchronized void print() {
    wrong = 0;
    code =
        pins.someLeadHasOne() ? "" : String.format(Locale.ROOT, "%06d", random.nextInt(1_000_000));
    if (!code.isEmpty()) {
      // to whoever stands there; the log is kept
      System.out.println(
          "No lead can sign in yet. The start code for the first one is " + code + ".");
    }
  }

  /** Whether the first lead is still to be made. */
  public boolean isWanted() {
    return !pins.someLeadHasOne();
  }

  /** What is wrong with a code; empty where it is the printed one. After ten it is another. */
  public synchronized Optional<String> fault(String typed) {
    if (!code.isEmpty() && code.equals(typed == null ? "" : typed.replaceAll("\\s", ""))) {
      return Optional.empty();
    }
    wrong++;
    if (wrong >= TRIES) {
      print();
      return Optional.of("That was wrong ten times: the server has printed another code.");
    }
    return Optional.of("The start code stands where the server was started.");
  }
}
