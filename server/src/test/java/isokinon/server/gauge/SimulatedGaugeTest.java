package isokinon.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.server.gauge.SimulatedGauge.Condition;
import isokinon.server.gauge.SimulatedGauge.Kind;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedGaugeTest {

  private static final Kind BORE = new Kind("mm", 0.001, 0.004);

  private static double settled(Condition condition, long seed) throws Gauge.Silent {
    SimulatedGauge gauge = new SimulatedGauge(BORE, 18.4, condition, seed);
    Gauge.Sample sample = gauge.sample();
    while (!sample.steady()) {
      sample = gauge.sample();
    }
    for (int i = 0; i < 10; i++) {
      sample = gauge.sample();
    }
    return sample.value();
  }

  @Test
  void itReadsTheTruthWithTheNoiseOfItsKind() {
    double[] reads =
        DoubleStream.iterate(1, s -> s + 1)
            .limit(400)
            .map(
                s -> {
                  try {
                    return settled(Condition.OK, (long) s);
                  } catch (Gauge.Silent e) {
                    throw new AssertionError(e);
                  }
                })
            .toArray();
    double mean = DoubleStream.of(reads).average().orElseThrow();
    double sd = Math.sqrt(DoubleStream.of(reads).map(r -> (r - mean) * (r - mean)).sum() / 399);
    assertThat(mean).isCloseTo(18.4, within(0.002));
    assertThat(sd).isBetween(0.003, 0.005);
    assertThat(DoubleStream.of(reads))
        .allMatch(r -> Math.abs(r * 1000 - Math.rint(r * 1000)) < 1e-6);
  }

  @Test
  void aDriftedOneIsOffByMoreThanItsNoise() throws Gauge.Silent {
    assertThat(settled(Condition.DRIFTED, 7) - settled(Condition.OK, 7))
        .isCloseTo(0.04, within(1e-9));
    assertThat(settled(Condition.OTHER_UNIT, 7)).isCloseTo(18.4 / 25.4, within(0.001));
  }

  @ParameterizedTest
  @EnumSource(names = {"SILENT", "BATTERY_FLAT"})
  void oneThatDoesNotAnswerSaysWhatToDo(Condition condition) {
    assertThatThrownBy(() -> new SimulatedGauge(BORE, 1, condition, 1).sample())
        .isInstanceOf(Gauge.Silent.class)
        .hasMessageContaining("type");
  }
}
