package isokinon.server.planning;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.server.planning.JobPlacer.Planned;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Jobs in the diary. */
@Tag("slow")
class JobPlacerTest {

  private static final int DAY = 48;
  private static final List<WorkPlan.Fixture> ONE_PRESS =
      List.of(new WorkPlan.Fixture("press", 1), new WorkPlan.Fixture("bench", 2));

  private final JobPlacer planner = new JobPlacer(Duration.ofMillis(3500), Duration.ofMillis(300));

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

  private static PlannedJob job(
      String pump, int slots, String fixture, String pair, Map<Opening, Long> at) {
    return new PlannedJob(pump, slots, fixture, pair, 10_000_000, at, null);
  }

  private static PlannedJob of(Planned planned, String pump) {
    return planned.jobs().stream().filter(j -> j.pump().equals(pump)).findFirst().orElseThrow();
  }

  @Test
  void theDearerToWaitForGoesFirst() {
    Planned p =
        planner.plan(
            List.of(
                job("A-1", 16, "", "", days(5, 16, 100, "RT")),
                job("A-2", 16, "", "", days(5, 16, 9000, "RT")),
                job("A-3", 16, "", "", days(5, 16, 500, "RT"))),
            ONE_PRESS);
    assertThat(p.kept()).isTrue();
    assertThat(List.of("A-2", "A-3", "A-1"))
        .extracting(t -> of(p, t).opening().start() / DAY)
        .containsExactly(0, 1, 2);
  }

  @Test
  void onePressAndAPairAreNotTakenTwiceAtATime() {
    Planned p =
        planner.plan(
            List.of(
                job("A-1", 10, "press", "", days(2, 10, 100, "RT", "KO")),
                job("A-2", 10, "press", "", days(2, 10, 100, "RT", "KO")),
                job("A-3", 6, "bench", "A-4", days(2, 6, 100, "RT", "KO")),
                job("A-4", 6, "bench", "A-3", days(2, 6, 100, "RT", "KO"))),
            ONE_PRESS);
    assertThat(p.kept()).isTrue();
    assertThat(of(p, "A-1").shared(of(p, "A-2"))).isZero();
    assertThat(of(p, "A-3").shared(of(p, "A-4"))).isZero();
  }

  @Test
  void whatAPersonPutSomewhereStaysAndTheOthersGoAround() {
    Map<Opening, Long> at = days(3, 16, 100, "RT");
    Opening put = at.keySet().iterator().next();
    Planned p =
        planner.plan(
            List.of(
                new PlannedJob("A-1", 16, "", "", 10_000_000, at, put),
                job("A-2", 16, "", "", days(3, 16, 9000, "RT"))),
            ONE_PRESS);
    assertThat(of(p, "A-1").opening()).isEqualTo(put);
    assertThat(of(p, "A-2").opening().start() / DAY).isEqualTo(1);
  }

  @Test
  void whatDoesNotFitIsLeftOutNotSqueezedIn() {
    Planned p =
        planner.plan(
            IntStream.range(0, 5)
                .mapToObj(i -> job("A-" + i, 16, "", "", days(3, 16, 100, "RT")))
                .toList(),
            ONE_PRESS);
    assertThat(p.kept()).isTrue();
    assertThat(p.jobs()).filteredOn(j -> j.opening() == null).hasSize(2);
    assertThat(planner.plan(List.of(), ONE_PRESS).kept()).isTrue();
  }

  /**
   * Sixty jobs over six weeks: every rule is kept, and no job would stand better alone elsewhere,
   * however early the clock cuts the search.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 100, 3500})
  void sixtyJobsOverSixWeeks(int mostMilliseconds) {
    Duration most = Duration.ofMillis(mostMilliseconds);
    SplittableRandom random = new SplittableRandom(9);
    List<PlannedJob> jobs = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      int slots = 2 + random.nextInt(6);
      jobs.add(
          job(
              "A-" + i,
              slots,
              i % 5 == 0 ? "press" : "",
              i % 7 == 0 ? "A-" + (i + 1) : "",
              days(42, slots, 50 + random.nextInt(3000), "RT", "KO")));
    }
    Planned p = new JobPlacer(most, most).plan(jobs, ONE_PRESS);
    assertThat(p.kept()).isTrue();
    assertThat(p.jobs()).allMatch(j -> j.opening() != null);
    for (PlannedJob j : p.jobs()) {
      long free =
          j.costs().entrySet().stream()
              .filter(o -> o.getValue() < j.cost())
              .filter(o -> fits(j, o.getKey(), p.jobs()))
              .count();
      assertThat(free).as(j.pump()).isZero();
    }
  }

  private static boolean fits(PlannedJob j, Opening o, List<PlannedJob> all) {
    PlannedJob moved = new PlannedJob(j.pump(), j.slots(), j.fixture(), j.pair(), 0, Map.of(), o);
    return all.stream()
        .filter(x -> !x.pump().equals(j.pump()))
        .filter(x -> x.shared(moved) > 0)
        .noneMatch(
            x ->
                x.person().equals(moved.person())
                    || (!j.fixture().isEmpty() && x.fixture().equals(j.fixture()))
                    || x.pair().equals(j.pump())
                    || j.pair().equals(x.pump()));
  }
}
