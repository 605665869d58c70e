package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** A life that is asked for many times between two ages. */
class SurvivalTableTest {

  @Property(tries = 200)
  void itSaysWhatTheLifeSays(
      @ForAll @DoubleRange(min = 0.8, max = 6) double shape,
      @ForAll @DoubleRange(min = 50, max = 3000) double from,
      @ForAll @DoubleRange(min = 0, max = 1.3) double share) {
    Weibull life = new Weibull(shape, 2000);
    SurvivalTable table = new SurvivalTable(life, from, from + 900);
    double age = from + share * 900;
    assertThat(table.survival(age)).isCloseTo(life.survival(age), within(2e-5));
    assertThat(table.failureRate(age)).isEqualTo(life.failureRate(age));
  }
}
