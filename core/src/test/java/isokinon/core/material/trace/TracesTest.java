package isokinon.core.material.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.material.trace.Traces.Trace;
import isokinon.core.value.Fault;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TracesTest {

  private static final Traces NONE = Traces.UNKNOWN;

  private static double pct(Traces traces, Trace trace) {
    return traces.likes().stream().filter(l -> l.trace() == trace).findFirst().orElseThrow().pct();
  }

  @Test
  void chlorideIsSaltByItsMass() {
    // 19 350 mg/L, what the sea holds: 3.19 % of salt.
    assertThat(pct(NONE.withChlorideMgL(19_350), Trace.CHLORIDE)).isCloseTo(3.19, within(0.01));
    assertThat(pct(NONE.withChlorideMgL(250), Trace.CHLORIDE)).isCloseTo(0.0412, within(0.0001));
  }

  @Test
  void inAnAcidATenthOfTheChlorideDoesTheSame() {
    assertThat(pct(NONE.withChlorideMgL(100).withPhLow(3), Trace.CHLORIDE))
        .isEqualTo(pct(NONE.withChlorideMgL(1000), Trace.CHLORIDE));
  }

  @Test
  void aStrongAcidOrAlkaliIsAsStrongAsItsPhSays() {
    // 0.1 mol/L: 0.49 % sulphuric acid, 0.4 % caustic soda.
    assertThat(pct(NONE.withPhLow(1), Trace.ACID)).isCloseTo(0.49, within(0.001));
    assertThat(pct(NONE.withPhHigh(13), Trace.ALKALI)).isCloseTo(0.4, within(0.001));
  }

  @Test
  void whatTownWaterHoldsCountsForNothing() {
    Traces town =
        new Traces(Optional.of(0.0), Optional.of(6.5), Optional.of(9.5), Optional.of(5.0));
    assertThat(town.likes()).isEmpty();
    assertThat(town.faults()).isEmpty();
  }

  @Test
  void whatCannotBeIsToldByItsField() {
    Traces wrong =
        new Traces(Optional.of(-1.0), Optional.of(9.0), Optional.of(4.0), Optional.of(1e5));
    assertThat(wrong.faults())
        .extracting(Fault::path)
        .containsExactly("chlorideMgL", "chlorineMgL", "phLow");
  }
}
