package isokinon.core.cavity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Which rotor goes into a stator. */
class RotorChoiceTest {

  private static final RotorFit.Stator STATOR =
      new RotorFit.Stator(
          20,
          35,
          40.3,
          List.of(0.0, -0.25, -0.5, -0.75, -1.0),
          0.1,
          0.5,
          Optional.empty(),
          Optional.empty());

  private static RotorChoice at(double hottestC, double swell) {
    return RotorChoice.of(STATOR, Optional.empty(), Optional.empty(), Optional.of(swell), hottestC);
  }

  /** A rotor sits right exactly where its interference lies in the band, and none larger does. */
  @Property
  void theLargestThatSitsRight(
      @ForAll @DoubleRange(min = 0, max = 120) double hottestC,
      @ForAll @DoubleRange(min = 0, max = 0.08) double swell) {
    RotorChoice choice = at(hottestC, swell);
    Optional<Double> first =
        STATOR.classesMm().stream()
            .filter(
                c -> {
                  double tight = choice.fit(c).interferenceMm();
                  return tight >= STATOR.leastMm() && tight <= STATOR.mostMm();
                })
            .findFirst();
    assertThat(choice.largest().map(RotorFit.Choice::classMm)).isEqualTo(first);
    first.ifPresent(c -> assertThat(choice.right(c)).isEqualTo(choice.largest()));
  }

  @Test
  void swellCountsLikeHeatAndWhatIsNotKnownIsUsual() {
    assertThat(at(20, 0.03).fit(0).interferenceMm())
        .isGreaterThan(at(20, 0).fit(0).interferenceMm());
    assertThat(at(60, 0))
        .isEqualTo(
            RotorChoice.of(STATOR, Optional.of(1.6e-4), Optional.of(1.2e-5), Optional.empty(), 60));
  }
}
