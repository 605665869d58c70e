package isokinon.server.http.security;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * How often one machine may be wrong about PINs, badges and codes, whoever they are of: beside the
 * waits of each person, so that nobody goes through all people, or shuts all of them out.
 */
@Component
public class SignInRate {

  private static final int MOST = 20;
  private static final Duration WITHIN = Duration.ofMinutes(1);
  private static final int MOST_MACHINES = 10_000;

  private final Clock clock;
  private final Map<String, Deque<Instant>> wrong = new HashMap<>();

  SignInRate(Clock clock) {
    this.clock = clock;
  }

  /** Whether this machine was wrong too often just now. */
  public synchronized boolean isOver(String machine) {
    Deque<Instant> times = wrong.getOrDefault(machine, new ArrayDeque<>());
    Instant since = clock.instant().minus(WITHIN);
    while (!times.isEmpty() && times.peekFirst().isBefore(since)) {
      times.removeFirst();
    }
    return times.size() >= MOST;
  }

  /** Counts that it was wrong. */
  public synchronized void wrong(String machine) {
    if (wrong.size() >= MOST_MACHINES) {
      wrong.clear();
    }
    wrong.computeIfAbsent(machine, m -> new ArrayDeque<>()).addLast(clock.instant());
  }
}
