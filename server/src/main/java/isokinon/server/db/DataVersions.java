package isokinon.server.db;

import java.util.Collection;
import java.util.EnumSet;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLongArray;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Counts the changes of each kind of stored data. Whatever is kept in memory remembers the count it
 * was made at and is made again once the count has moved on. A change counts twice: when it is
 * written, for its own transaction, and when that has ended, for all others. So nothing that was
 * read in between, or was rolled back, is kept.
 */
@Component
public class DataVersions {

  private final AtomicLongArray counts = new AtomicLongArray(Topic.values().length);

  /** Counts a change of these topics. */
  public void changed(Collection<Topic> topics) {
    if (topics.isEmpty()) {
      return;
    }
    count(topics);
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      Set<Topic> again = EnumSet.copyOf(topics);
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
              count(again);
            }
          });
    }
  }

  /** Counts a change of everything: the shop was put back as a whole. */
  public void everythingChanged() {
    changed(EnumSet.allOf(Topic.class));
  }

  /** Changes of these topics so far. */
  public long of(Set<Topic> topics) {
    return topics.stream().mapToLong(t -> counts.get(t.ordinal())).sum();
  }

  private void count(Collection<Topic> topics) {
    topics.forEach(t -> counts.incrementAndGet(t.ordinal()));
  }
}
