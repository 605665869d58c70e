package isokinon.server.work.shared;

import java.util.regex.Pattern;

/** What a question must hold. */
public final class Require {

  private static final Pattern LOT = Pattern.compile("[A-Za-z0-9][A-Za-z0-9-]{0,19}");

  private Require() {}

  /**
   * The value at a path of a question.
   *
   * @throws RequestProblem where it is missing
   */
  public static <T> T present(String path, T value) {
    if (value == null) {
      throw RequestProblem.invalid(path, "Missing: " + path + " must be given.");
    }
    return value;
  }

  /**
   * A number that a lot may have.
   *
   * @param lot as it was typed; null where it was not
   * @throws RequestProblem where it cannot be one
   */
  public static void lotNumber(String lot) {
    if (lot == null || !LOT.matcher(lot).matches()) {
      throw RequestProblem.invalid("lot", "A lot number is up to 20 letters, figures and dashes.");
    }
  }
}
