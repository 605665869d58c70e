package isokinon.server.http;

import isokinon.server.work.shared.RequestProblem;

/** What a question must hold. */
final class Require {

  private Require() {}

  /**
   * The value at a path of a question.
   *
   * @throws RequestProblem where it is missing
   */
  static <T> T present(String path, T value) {
    if (value == null) {
      throw RequestProblem.invalid(path, "Missing: " + path + " must be given.");
    }
    return value;
  }
}
