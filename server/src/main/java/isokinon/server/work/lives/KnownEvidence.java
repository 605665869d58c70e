package isokinon.server.work.lives;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What the runs of each group say, summed up when first asked, and taken over from the moment
 * before where a group is as it was.
 */
final class KnownEvidence {

  /** So many of the last runs are told of one by one. */
  private static final int LAST = 6;

  private record Key(Level level, GroupKey of, boolean inCounts) {}

  private final Map<Key, Known> known = new ConcurrentHashMap<>();
  private final Map<Key, Known> before;

  KnownEvidence() {
    this(Map.of());
  }

  private KnownEvidence(Map<Key, Known> before) {
    this.before = before;
  }

  /** For the groups of a later moment. */
  KnownEvidence later() {
    return new KnownEvidence(known);
  }

  GroupEvidence of(Group group, boolean inCounts, double shape) {
    return known
        .computeIfAbsent(
            new Key(group.level(), group.of(), inCounts),
            key -> {
              Known earlier = before.get(key);
              return earlier != null && earlier.group.runs().equals(group.runs())
                  ? earlier
                  : new Known(group, inCounts, shape);
            })
        .with(shape);
  }

  /** What is known of a group, for each shape of a failure mode that was asked for. */
  private static final class Known {

    private final Group group;
    private final boolean inCounts;
    private final GroupEvidence first;
    private final Map<Double, GroupEvidence> byShape = new ConcurrentHashMap<>();

    Known(Group group, boolean inCounts, double shape) {
      this.group = group;
      this.inCounts = inCounts;
      List<Run> ages = group.ages(inCounts);
      first =
          new GroupEvidence(
              LifeEstimate.Evidence.of(shape, ages),
              (int) group.runs().stream().filter(r -> !r.running()).count(),
              lastFailed(group.runs()),
              ages.stream().filter(Run::failed).map(Run::age).sorted().toList());
      byShape.put(shape, first);
    }

    GroupEvidence with(double shape) {
      return byShape.computeIfAbsent(
          shape,
          s ->
              new GroupEvidence(
                  first.evidence().shaped(s, group.ages(inCounts)),
                  first.finished(),
                  first.lastFailed(),
                  first.failedAt()));
    }
  }

  private record Ended(LocalDate day, int place, boolean failed) {}

  private static List<Boolean> lastFailed(List<WearRun> runs) {
    PriorityQueue<Ended> last =
        new PriorityQueue<>(Comparator.comparing(Ended::day).thenComparingInt(Ended::place));
    for (int i = 0; i < runs.size(); i++) {
      WearRun run = runs.get(i);
      if (!run.running()) {
        last.add(new Ended(run.ended().orElseThrow(), i, run.hours().failed()));
        if (last.size() > LAST) {
          last.remove();
        }
      }
    }
    Deque<Boolean> failed = new ArrayDeque<>();
    while (!last.isEmpty()) {
      failed.add(last.remove().failed());
    }
    return List.copyOf(failed);
  }
}
