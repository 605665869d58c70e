package isokinon.core.counter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.counter.CounterLog.Kind;
import isokinon.core.counter.CounterLog.Reading;
import isokinon.core.counter.CounterLog.Result;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CounterLogTest {

  private static final Instant START = Instant.parse("2026-03-01T06:00:00Z");

  private static Reading at(int day, double value) {
    return new Reading(day + 2, START.plusSeconds(86_400L * day), value);
  }

  private static Result add(List<Reading> known, Reading... fresh) {
    return CounterLog.add(Kind.HOURS, known, Optional.of(1000.0), List.of(fresh));
  }

  @Test
  void readingsAddUpFromWhereTheCounterStood() {
    Result r = add(List.of(), at(1, 1010), at(2, 1030));
    assertThat(r.gained()).isEqualTo(30);
    assertThat(r.last().orElseThrow().value()).isEqualTo(1030);
  }

  @Test
  void theFirstReadingOfAnUnknownCounterOnlySaysWhereItStands() {
    Result r = CounterLog.add(Kind.HOURS, List.of(), Optional.empty(), List.of(at(1, 5000)));
    assertThat(r.gained()).isZero();
    assertThat(r.last()).isPresent();
  }

  @Test
  void aCounterSetBackCountsOnFromNothing() {
    Result r = add(List.of(at(1, 1010)), at(2, 5), at(3, 25));
    assertThat(r.gained()).isEqualTo(25);
    assertThat(r.resets()).isEqualTo(1);
  }

  @Test
  void aReadingKnownAlreadyIsLeftOut() {
    Result r = add(List.of(at(1, 1010)), at(1, 1010), at(2, 1020), at(2, 1020));
    assertThat(r.repeated()).isEqualTo(2);
    assertThat(r.gained()).isEqualTo(10);
  }

  @Test
  void whatCannotBeIsToldAndNothingIsCounted() {
    Result r = add(List.of(at(3, 1010)), at(3, 1011), at(4, -5), at(5, Double.NaN), at(1, 1004));
    assertThat(r.faults()).hasSize(4);
    assertThat(r.gained()).isZero();
    Result fast = add(List.of(at(1, 1010)), at(2, 1040));
    assertThat(fast.faults())
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("run 30 h in 24 h"));
    assertThat(
            CounterLog.add(
                    Kind.STROKES, List.of(at(1, 1010)), Optional.empty(), List.of(at(2, 90_000)))
                .gained())
        .isEqualTo(88_990);
  }

  @Property
  void inWhateverPortionsTheyComeTheyAddUpTheSame(@ForAll @IntRange(min = 1, max = 9999) int seed) {
    Random random = new Random(seed);
    List<Reading> all = new ArrayList<>();
    double value = 1000;
    for (int day = 1; day <= 12; day++) {
      value = random.nextInt(5) == 0 ? random.nextInt(10) : value + random.nextInt(24);
      all.add(at(day, value));
    }
    List<Reading> mixed = new ArrayList<>(all);
    Collections.shuffle(mixed, random);
    double atOnce = add(List.of(), mixed.toArray(Reading[]::new)).gained();
    int cut = random.nextInt(12);
    double first = add(List.of(), all.subList(0, cut).toArray(Reading[]::new)).gained();
    double second = add(all.subList(0, cut), all.subList(cut, 12).toArray(Reading[]::new)).gained();
    assertThat(first + second).isCloseTo(atOnce, within(1e-9));
  }
}
