package isokinon.server.http;

import isokinon.server.work.Refused;

/** What a question must hold. */
final class Given {

  private Given() {}

  /**
   * The value at a path of a question.
   *
   * @throws Refused where it is missing
   */
  static <T> T given(String path, T value) {
    if (value == null) {
      throw Refused.of(400, path, "Missing: " + path + " must be given.");
    }
    return value;
  }
}
