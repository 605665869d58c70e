package isokinon.server.work.diary;

import isokinon.server.work.shared.RequestProblem;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;

/** Lets one person plan at a time. */
final class OneAtATime {

  /** So long a second planner waits for the first, s. */
  private static final long PATIENCE_SECONDS = 20;

  private final ReentrantLock turn = new ReentrantLock(true);

  /**
   * One plan at a time. The solver runs outside any transaction; what it found is written in one.
   * Whoever comes meanwhile waits, so that no pin is planned over.
   */
  <T> T alone(Supplier<T> planning) {
    try {
      if (!turn.tryLock(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        throw RequestProblem.notNow("", "Somebody else plans just now: try again in a moment.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw RequestProblem.notNow("", "The plan was broken off: try again.");
    }
    try {
      return planning.get();
    } finally {
      turn.unlock();
    }
  }
}
