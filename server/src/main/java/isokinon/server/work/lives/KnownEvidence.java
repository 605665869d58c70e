package isokinon.server.work.lives;

import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * What the runs of each group say, worked out when first asked, and taken over from the moment
 * before where a group is as it was. A group so large that working it out would keep people waiting
 * answers by what was believed before until it is done.
 */
final class KnownEvidence {

  /** So many of the last runs are told of one by one. */
  private static final int LAST = 6;

  /** Groups of more runs are worked out beside, where something was believed of them before. */
  private static final int MOST_AT_ONCE = 400;

  private record Key(Level level, GroupKey of, boolean inCounts, double shape) {}

  private final Map<Key, Known> known = new ConcurrentHashMap<>();
  private final Map<Key, Known> before;
  private final Consumer<Runnable> beside;

  /** Nothing is known yet; large groups are worked out at once. */
  KnownEvidence() {
    this(Runnable::run);
  }

  /**
   * Nothing is known yet.
   *
   * @param beside runs what is worked out beside
   */
  KnownEvidence(Consumer<Runnable> beside) {
    this(Map.of(), beside);
  }

  private KnownEvidence(Map<Key, Known> before, Consumer<Runnable> beside) {
    this.before = before;
    this.beside = beside;
  }

  /** For the groups of a later moment. */
  KnownEvidence later() {
    return new KnownEvidence(known, beside);
  }

  GroupEvidence of(Group group, boolean inCounts, LibraryExpectation expected) {
    return known.computeIfAbsent(
            new Key(group.level(), group.of(), inCounts, expected.shape()),
            key -> known(group, inCounts, expected, before.get(key)))
        .evidence;
  }

  private Known known(Group group, boolean inCounts, LibraryExpectation expected, Known earlier) {
    if (earlier != null && earlier.isOf(group, expected)) {
      return earlier;
    }
    Known made = new Known(group, expected);
    if (earlier != null && group.runs().size() > MOST_AT_ONCE) {
      made.evidence = evidence(group, inCounts, earlier.evidence.lives());
      beside.accept(
          () -> made.evidence = evidence(group, inCounts, fitted(group, inCounts, expected)));
    } else {
      made.evidence = evidence(group, inCounts, fitted(group, inCounts, expected));
    }
    return made;
  }

  /** What is known of a group by its runs and by what was expected of its pumps. */
  private static final class Known {

    private final Group group;
    private final LibraryExpectation expected;
    private volatile GroupEvidence evidence;

    Known(Group group, LibraryExpectation expected) {
      this.group = group;
      this.expected = expected;
    }

    boolean isOf(Group other, LibraryExpectation also) {
      return expected.equals(also) && group.runs().equals(other.runs());
    }
  }

  /** What is believed of a group, not kept for later. */
  static GroupPosterior fitted(Group group, boolean inCounts, LibraryExpectation expected) {
    return FrailtyModel.fit(expected.prior(), expected.relative(group, inCounts));
  }

  private static GroupEvidence evidence(Group group, boolean inCounts, GroupPosterior lives) {
    return new GroupEvidence(
        lives,
        (int) group.runs().stream().filter(r -> !r.running()).count(),
        lastFailed(group.runs()),
        group.runs().stream()
            .filter(WearRun::running)
            .map(WearRun::pump)
            .collect(Collectors.toUnmodifiableSet()),
        group.ages(inCounts).stream().filter(Run::failed).map(Run::age).sorted().toList());
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
