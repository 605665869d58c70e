package isokinon.core.life.frailty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.Run;
import java.util.List;
import org.junit.jupiter.api.Test;

class JointLivesTest {

  private static final GroupPosterior GROUP =
      FrailtyModel.fit(
          FrailtyPrior.of(2, 1000),
          List.of(
              new PumpRuns(
                  "A", List.of(new Run(400, true), new Run(650, true), new Run(500, false))),
              new PumpRuns("B", List.of(new Run(900, false)))));

  @Test
  void whatIsDrawnIsWhatIsBelieved() {
    JointLives.Draws draws = GROUP.joint().draws();
    int n = 400;
    double[] ages = {200, 600, 1200};
    for (String pump : List.of("A", "B", "new")) {
      double[] survives = new double[ages.length];
      for (int g = 0; g < n; g++) {
        draws.group((g + 0.5) / n);
        for (int z = 0; z < 20; z++) {
          double scale = draws.scale(GROUP.joint().place(pump), (z + 0.5) / 20);
          for (int i = 0; i < ages.length; i++) {
            survives[i] += Math.exp(-Math.pow(ages[i] / scale, draws.shape())) / n / 20;
          }
        }
      }
      for (int i = 0; i < ages.length; i++) {
        assertThat(survives[i]).isCloseTo(GROUP.life(pump).survival(ages[i]), within(0.006));
      }
    }
  }

  @Test
  void pumpsOfAGroupShareWhatIsNotKnownOfThem() {
    JointLives.Draws draws = GROUP.joint().draws();
    draws.group(0.05);
    double shortA = draws.scale(0, 0.5);
    double shortB = draws.scale(1, 0.5);
    draws.group(0.95);
    assertThat(draws.scale(0, 0.5)).isGreaterThan(1.2 * shortA);
    assertThat(draws.scale(1, 0.5)).isGreaterThan(1.2 * shortB);
    assertThat(draws.scale(-1, 0.1)).isLessThan(draws.scale(-1, 0.9));
    assertThat(GROUP.joint().place("new")).isEqualTo(-1);
  }
}
