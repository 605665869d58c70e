package isokinon.server.work.live;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * The pages that have a job open. They are told at once when somebody acts at it and when somebody
 * else opens or leaves it. Nothing of this is stored: it is who looks now.
 */
@Component
public class LiveJobs implements DisposableBean {

  private static final int STILL_THERE_S = 5;

  private static final Comparator<Present> ORDER =
      Comparator.comparing(Present::initials).thenComparing(Present::device);

  /** Somebody who has a job open. */
  public record Present(String initials, String device) {}

  /** What is told. */
  public sealed interface Told permits People, Moved, StillThere {}

  /** Everybody who has the job open. */
  public record People(List<Present> present) implements Told {}

  /**
   * Somebody acted at the job.
   *
   * @param seq number of its last event
   */
  public record Moved(long seq) implements Told {}

  /** Nothing happened: so a page that is gone is noticed. */
  public record StillThere() implements Told {}

  /** A page that has a job open. */
  public interface Page {
    /** Tells it; false where it is gone. */
    boolean tell(Told told);
  }

  private final Map<Long, Map<Page, Present>> pages = new ConcurrentHashMap<>();

  // One thread: what is told arrives in the order in which it happened.
  private final ScheduledExecutorService teller =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "live");
            thread.setDaemon(true);
            return thread;
          });

  LiveJobs() {
    teller.scheduleAtFixedRate(
        () -> pages.keySet().forEach(job -> tell(job, new StillThere())),
        STILL_THERE_S,
        STILL_THERE_S,
        TimeUnit.SECONDS);
  }

  /** A page opens a job; everybody there is told. */
  public void open(long job, Present who, Page page) {
    pages.compute(
        job,
        (id, there) -> {
          Map<Page, Present> all = there == null ? new ConcurrentHashMap<>() : there;
          all.put(page, who);
          return all;
        });
    later(() -> tellPeople(job));
  }

  /** A page leaves a job; everybody left is told. */
  public void leave(long job, Page page) {
    Map<Page, Present> there = pages.get(job);
    if (there != null && there.remove(page) != null) {
      later(() -> tellPeople(job));
    }
  }

  /** Somebody acted at a job: whoever has it open is told. */
  public void moved(long job, long seq) {
    if (pages.containsKey(job)) {
      later(() -> tell(job, new Moved(seq)));
    }
  }

  /** Who has a job open: each person once a device. */
  public List<Present> present(long job) {
    return pages.getOrDefault(job, Map.of()).values().stream().distinct().sorted(ORDER).toList();
  }

  private void later(Runnable task) {
    if (!teller.isShutdown()) {
      teller.execute(task);
    }
  }

  private void tellPeople(long job) {
    tell(job, new People(present(job)));
  }

  private void tell(long job, Told told) {
    Map<Page, Present> there = pages.getOrDefault(job, Map.of());
    boolean gone = false;
    for (Page page : List.copyOf(there.keySet())) {
      if (!page.tell(told)) {
        there.remove(page);
        gone = true;
      }
    }
    if (gone) {
      tellPeople(job);
    }
    pages.computeIfPresent(job, (id, left) -> left.isEmpty() ? null : left);
  }

  @Override
  public void destroy() {
    teller.shutdownNow();
  }
}
