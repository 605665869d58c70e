package isokinon.core.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class ShorterIntervalTest {

  @Test
  void fourFifthsOfTheAgeItReached() {
    assertThat(ShorterInterval.of(3000, 2310)).contains(1848.0);
    assertThat(ShorterInterval.of(1800, 2310)).isEmpty();
    assertThat(ShorterInterval.of(3000, 0)).isEmpty();
  }

  @Property
  void itNeverGrowsAndNeverReachesTheAgeOfFailing(
      @ForAll @DoubleRange(min = 1, max = 1e5) double interval,
      @ForAll @DoubleRange(min = 0, max = 1e6) double gaveOutAt) {
    Optional<Double> shorter = ShorterInterval.of(interval, gaveOutAt);
    shorter.ifPresent(s -> assertThat(s).isLessThan(interval).isLessThan(gaveOutAt));
    assertThat(shorter.isPresent() || gaveOutAt * 0.8 >= interval || gaveOutAt < 1.25).isTrue();
  }
}
