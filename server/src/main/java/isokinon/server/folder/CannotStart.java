package isokinon.server.folder;

/** The application cannot start on this data folder: one sentence, and an exit code for scripts. */
public final class CannotStart extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Why, each with its exit code. */
  public enum Why {
    /** The folder or the database file cannot be written. */
    NOT_WRITABLE(3),
    /** Another server works on this folder. */
    IN_USE(4),
    /** The database file is not as it was left, or cannot be read. */
    DAMAGED(5),
    /** There was a shop here, and its database file is gone or empty. */
    LOST(6),
    /** Not enough room on the disk to change the database safely. */
    NO_ROOM(7),
    /** A newer version of the application wrote it. */
    NEWER(8),
    /** The made-up mill of the demo lies there, and a shop of one's own was asked for. */
    DEMO(11);

    private final int exitCode;

    Why(int exitCode) {
      this.exitCode = exitCode;
    }

    /** What the process ends with. */
    public int exitCode() {
      return exitCode;
    }
  }

  private final Why why;

  CannotStart(Why why, String sentence) {
    super(sentence);
    this.why = why;
  }

  /** Why. */
  public Why why() {
    return why;
  }
}
