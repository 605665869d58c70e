package isokinon.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Jobs in the diary. */
class JobPlacerTest {

  private static final int DAY = 48;
  private static final List<Fixture> ONE_PRESS =
      List.of(new Fixture("press", 1), new Fixture("bench", 2));

  private final JobPlacer placer = new JobPlacer(Duration.ofMillis(3500), System::nanoTime);

  /** Openings from six to two of each working day, dearer every day. */
  private static Map<Opening, Long> days(int count, int slots, long perDay, String... people) {
    Map<Opening, Long> openings = new LinkedHashMap<>();
    for (int day = 0; day < count; day++) {
      for (int slot = 12; slot + slots <= 28; slot++) {
        for (String who : people) {
          openings.put(new Opening(day * DAY + slot, who), day * perDay);
        }
      }
    }
    return openings;
  }

  private static Job job(
      String pump, int slots, String fixture, String pair, Map<Opening, Long> at) {
    return job(pump, slots, fixture, pair, 10_000_000, at, Optional.empty());
  }

  private static Job job(
      String pump,
      int slots,
      String fixture,
      String pair,
      long unplaced,
      Map<Opening, Long> at,
      Optional<Opening> pinned) {
    return Job.of(
        pump,
        slots,
        fixture,
        pair,
        unplaced,
        List.copyOf(at.keySet()),
        at.values().stream().mapToLong(c -> c).toArray(),
        pinned);
  }

  private static int shared(Job a, Job b, Placement p) {
    int from = Math.max(p.of(a).orElseThrow().start(), p.of(b).orElseThrow().start());
    int to =
        Math.min(
            p.of(a).orElseThrow().start() + a.slots(), p.of(b).orElseThrow().start() + b.slots());
    return Math.max(0, to - from);
  }

  /** Every rule between jobs, written down once more. */
  private static boolean kept(Placement p, List<Fixture> fixtures) {
    for (Job a : p.jobs()) {
      List<Job> meanwhile =
          p.jobs().stream()
              .filter(b -> b != a && p.of(a).isPresent() && p.of(b).isPresent())
              .filter(b -> shared(a, b, p) > 0)
              .toList();
      boolean clash =
          meanwhile.stream()
              .anyMatch(
                  b ->
                      p.of(a).get().person().equals(p.of(b).get().person())
                          || a.pair().equals(b.pump()));
      int pieces =
          fixtures.stream()
              .filter(f -> f.id().equals(a.fixture()))
              .mapToInt(Fixture::pieces)
              .findFirst()
              .orElse(99);
      long when = p.of(a).map(Opening::start).orElse(0);
      long holding =
          meanwhile.stream()
              .filter(b -> b.fixture().equals(a.fixture()))
              .filter(b -> p.of(b).get().start() <= when)
              .count();
      if (clash || holding >= pieces) {
        return false;
      }
    }
    return true;
  }

  @Test
  void theDearerToWaitForGoesFirst() {
    List<Job> jobs =
        List.of(
            job("A-1", 16, "", "", days(5, 16, 100, "RT")),
            job("A-2", 16, "", "", days(5, 16, 9000, "RT")),
            job("A-3", 16, "", "", days(5, 16, 500, "RT")));
    Placement p = placer.place(jobs, ONE_PRESS);
    assertThat(jobs).extracting(j -> p.of(j).orElseThrow().start() / DAY).containsExactly(2, 0, 1);
    assertThat(p.cost()).isEqualTo(700);
    assertThat(p.atLeast()).isBetween(650L, 700L);
  }

  @Test
  void onePressAndAPairAreNotTakenTwiceAtATimeAndTwoBenchesAre() {
    List<Job> jobs =
        List.of(
            job("A-1", 10, "press", "", days(2, 10, 100, "RT", "KO")),
            job("A-2", 10, "press", "", days(2, 10, 100, "RT", "KO")),
            job("A-3", 6, "bench", "A-4", days(2, 6, 100, "RT", "KO")),
            job("A-4", 6, "bench", "A-3", days(2, 6, 100, "RT", "KO")));
    Placement p = placer.place(jobs, ONE_PRESS);
    assertThat(p.openings()).hasSize(4);
    assertThat(shared(jobs.get(0), jobs.get(1), p)).isZero();
    assertThat(shared(jobs.get(2), jobs.get(3), p)).isZero();
    List<Job> three =
        IntStream.range(0, 3)
            .mapToObj(i -> job("B-" + i, 16, "bench", "", days(2, 16, 100, "RT", "KO", "ML")))
            .toList();
    Placement q = placer.place(three, ONE_PRESS);
    assertThat(three).filteredOn(j -> q.of(j).orElseThrow().start() < DAY).hasSize(2);
  }

  @Test
  void whatAPersonPutSomewhereStaysAndTheOthersGoAround() {
    Opening put = new Opening(12, "RT");
    Job pinned = job("A-1", 16, "", "", 10_000_000, Map.of(), Optional.of(put));
    Job other = job("A-2", 16, "", "", days(3, 16, 9000, "RT"));
    Placement p = placer.place(List.of(pinned, other), ONE_PRESS);
    assertThat(p.of(pinned)).contains(put);
    assertThat(p.of(other).orElseThrow().start() / DAY).isEqualTo(1);
  }

  @Test
  void whatDoesNotFitIsLeftOutNotSqueezedIn() {
    List<Job> jobs =
        IntStream.range(0, 5)
            .mapToObj(i -> job("A-" + i, 16, "", "", days(3, 16, 100, "RT")))
            .toList();
    Placement p = placer.place(jobs, ONE_PRESS);
    assertThat(p.openings()).hasSize(3);
    assertThat(p.cost()).isEqualTo(20_000_300);
    assertThat(p.gap()).isLessThan(0.001);
    assertThat(placer.place(List.of(), ONE_PRESS).cost()).isZero();
  }

  private static List<Job> some(SplittableRandom random, int count, int days) {
    List<Job> jobs = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      int slots = 5 + random.nextInt(12);
      Map<Opening, Long> at = new LinkedHashMap<>();
      for (int day = 0; day < days; day++) {
        for (String who : List.of("RT", "KO")) {
          for (int slot = 12; slot + slots <= 28; slot += 4) {
            at.put(new Opening(day * DAY + slot, who), (long) random.nextInt(5000));
          }
        }
      }
      jobs.add(
          job(
              "A-" + i,
              slots,
              i % 3 == 0 ? "press" : "",
              i % 4 == 0 ? "A-" + (i + 1) : "",
              4000 + random.nextInt(4000),
              at,
              Optional.empty()));
    }
    return jobs;
  }

  /** The least cost there is, by trying everything. */
  private static long least(List<Job> jobs, Occupancy now, int j) {
    if (j == jobs.size()) {
      return now.cost();
    }
    long least = least(jobs, now, j + 1);
    for (int o = 0; o < jobs.get(j).openings().size(); o++) {
      if (now.free(j, o)) {
        now.put(j, o);
        least = Math.min(least, least(jobs, now, j + 1));
        now.takeOut(j);
      }
    }
    return least;
  }

  @Property(tries = 100)
  void aSmallDiaryIsPlacedAtTheLeastCostAndTheBoundIsUnderIt(
      @ForAll @IntRange(min = 1, max = 9_999) int seed) {
    List<Job> jobs = some(new SplittableRandom(seed), 5, 1);
    Placement p = placer.place(jobs, ONE_PRESS);
    long least = least(jobs, new Occupancy(jobs, ONE_PRESS), 0);
    assertThat(p.cost()).isEqualTo(least);
    assertThat(p.atLeast()).isLessThanOrEqualTo(least);
    assertThat(kept(p, ONE_PRESS)).isTrue();
  }

  /**
   * Two hundred jobs over six weeks: every rule is kept, and no job would stand better alone
   * elsewhere, however early the clock cuts the search; the longer it may, the less it costs.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 100, 800})
  void twoHundredJobsOverSixWeeks(int mostMilliseconds) {
    List<Job> jobs = some(new SplittableRandom(9), 200, 42);
    Placement p =
        new JobPlacer(Duration.ofMillis(mostMilliseconds), System::nanoTime).place(jobs, ONE_PRESS);
    assertThat(kept(p, ONE_PRESS)).isTrue();
    assertThat(p.cost()).isGreaterThanOrEqualTo(p.atLeast());
    Occupancy now = new Occupancy(jobs, ONE_PRESS);
    for (int j = 0; j < jobs.size(); j++) {
      now.put(j, p.of(jobs.get(j)).map(jobs.get(j).openings()::indexOf).orElse(Occupancy.OUT));
    }
    assertThat(now.cost()).isEqualTo(p.cost());
    for (int j = 0; j < jobs.size(); j++) {
      assertThat(now.cheapestFree(j, now.cost(j))).as(jobs.get(j).pump()).isEqualTo(Occupancy.OUT);
    }
    System.out.println(
        mostMilliseconds
            + " "
            + p.cost()
            + " "
            + p.atLeast()
            + " "
            + p.gap()
            + " tried "
            + p.tried()
            + " "
            + p.cut());
  }
}
