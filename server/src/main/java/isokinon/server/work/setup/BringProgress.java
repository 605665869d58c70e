package isokinon.server.work.setup;

import isokinon.core.value.Code;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.shared.RequestProblem;

/** How far tables have come that are being brought; whoever brings them may stop it. */
final class BringProgress {

  /** What is being done. */
  enum Phase implements Code {
    /** Nothing of it is read yet, or it is over. */
    IDLE,
    /** Rows are read and checked. */
    READING,
    /** Rows are written. */
    WRITING
  }

  private volatile BringProgressView now = BringProgressView.IDLE;
  private volatile boolean stopped;
  private int done;

  /** Begins with something of so many rows. */
  void begins(Phase phase, SetupTable table, int rows) {
    requireWanted();
    done = 0;
    now = new BringProgressView(phase, table.title(), 0, rows);
  }

  /** One more row is done. */
  void step() {
    requireWanted();
    done++;
    if (done % 64 == 0) {
      now = new BringProgressView(now.phase(), now.table(), done, now.rows());
    }
  }

  private void requireWanted() {
    if (stopped) {
      throw RequestProblem.notNow("", "It was stopped: nothing was brought.");
    }
  }

  /** How far it is. */
  BringProgressView now() {
    return now;
  }

  /** Stops it at the next row; nothing of it is written then. */
  void stop() {
    stopped = true;
  }
}
