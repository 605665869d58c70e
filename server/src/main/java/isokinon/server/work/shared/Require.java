package isokinon.server.work.shared;

/** What a question must hold. */
public final class Require {

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
}
