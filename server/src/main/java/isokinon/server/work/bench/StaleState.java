package isokinon.server.work.bench;

import isokinon.server.work.stages.BenchView;

/** Someone else acted first: the caller saw an older state of the rebuild. */
public final class StaleState extends RuntimeException {

  private static final long serialVersionUID = 1L;

  private final transient BenchView now;

  StaleState(String message, BenchView now) {
    super(message);
    this.now = now;
  }

  /** The rebuild as it is now. */
  public BenchView now() {
    return now;
  }
}
