package isokinon.server.access;

import java.util.Optional;
import java.util.regex.Pattern;

/** Which PINs and pass phrases somebody may choose. */
public final class PinRules {

  /** Shortest pass phrase, characters; a PIN is four to six digits. */
  static final int SHORTEST_PHRASE = 12;

  private static final int LONGEST = 100;
  private static final Pattern PIN = Pattern.compile("[0-9]{4,6}");

  private PinRules() {}

  /** What is wrong with it, in a sentence; empty where it may be chosen. */
  public static Optional<String> fault(String pin) {
    String typed = pin == null ? "" : pin;
    if (typed.length() > LONGEST) {
      return Optional.of("A pass phrase has at most " + LONGEST + " characters.");
    }
    if (PIN.matcher(typed).matches()) {
      return row(typed)
          ? Optional.of("Digits that are all the same or in a row are guessed first.")
          : Optional.empty();
    }
    return typed.strip().length() < SHORTEST_PHRASE
        ? Optional.of(
            "A PIN is four to six digits, a pass phrase at least "
                + SHORTEST_PHRASE
                + " characters.")
        : Optional.empty();
  }

  /** 1111, 1234, 4321: from digit to digit always the same step, at most one. */
  private static boolean row(String digits) {
    int step = digits.charAt(1) - digits.charAt(0);
    for (int i = 2; i < digits.length(); i++) {
      if (digits.charAt(i) - digits.charAt(i - 1) != step) {
        return false;
      }
    }
    return Math.abs(step) <= 1;
  }
}
