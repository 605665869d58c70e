package isokinon.server.folder;

/** Nothing can be recorded, because the disk is full. */
public final class NoRoom extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** What whoever asked is told. */
  public static final String SENTENCE =
      "The disk of the server is full: nothing can be recorded until there is room again. What you"
          + " typed is still with you.";

  /** Nothing but the sentence. */
  public NoRoom() {
    super(SENTENCE);
  }
}
