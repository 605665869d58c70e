package isokinon.server.work.life;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Terms;
import isokinon.server.work.life.LifeView.HeadPiece;
import isokinon.server.work.lives.Renewals;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sentences of the Life place. */
class LifeTextTest {

  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final double PER_HOUR = 4000;

  /** A life from so many failures around 2 000 h, counted in strokes. */
  private static LifeEstimate life(int failures) {
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < failures; i++) {
      runs.add(new Run((1500 + 200.0 * i) * PER_HOUR, true));
    }
    runs.add(new Run(1000 * PER_HOUR, false));
    return LifeEstimate.of(2.5, 2200 * PER_HOUR, runs);
  }

  private static String headline(LifeEstimate life, Terms terms) {
    Policies p = Policies.of(life.life(), 0.12, terms, NONE);
    return LifeText.headline(Optional.of(p), Optional.of(terms), life, PER_HOUR).stream()
        .map(HeadPiece::text)
        .collect(Collectors.joining());
  }

  private static Terms terms(double planned, double failed, boolean harms, OptionalDouble limit) {
    return new Terms(planned, failed, NONE, harms, limit);
  }

  @Test
  void theAnswerIsOneSentence() {
    assertThat(headline(life(6), terms(100, 1500, false, NONE)))
        .matches("Renew at [\\d\u2009]+ h; hardly dearer to [\\d\u2009]+ h\\.");
    assertThat(headline(life(6), terms(100, 100, false, NONE))).isEqualTo("Run it until it fails.");
    assertThat(headline(life(6), terms(100, 1500, false, OptionalDouble.of(500 * PER_HOUR))))
        .isEqualTo("Renew at 500 h, the limit of the sheet.");
    assertThat(headline(life(6), terms(100, 100, true, NONE)))
        .startsWith("No age pays, and it must not fail");
    assertThat(headline(life(1), terms(100, 1500, false, NONE)))
        .isEqualTo("Not enough runs to tell.");
    assertThat(LifeText.headline(Optional.empty(), Optional.empty(), life(6), 1).get(0).text())
        .startsWith("Say what a renewal");
  }

  @Test
  void looksThatAreCheapAreTheAnswer() {
    Terms cheap = new Terms(100, 900, OptionalDouble.of(0.5), false, NONE);
    List<Run> anyAge = new ArrayList<>();
    for (double hours : new double[] {200, 700, 1300, 2100, 3400, 5200}) {
      anyAge.add(new Run(hours * PER_HOUR, true));
    }
    assertThat(headline(LifeEstimate.of(1.1, 2200 * PER_HOUR, anyAge), cheap))
        .matches("Look every [\\d\u2009]+ h, renew when worn\\.");
    assertThat(LifeText.neverPays(new Terms(1, 2, OptionalDouble.of(41.4), false, NONE)))
        .isEqualTo("never pays at ¤41 a look");
  }

  @ParameterizedTest
  @CsvSource({"62.4, 62 h", "199.6, 200 h", "588, 590 h", "1644, 1\u2009640 h"})
  void hoursAreSaidToTenWhereTheyAreMany(double hours, String said) {
    assertThat(LifeText.h(hours)).isEqualTo(said);
  }

  private static Group group(Level level, int failed, int running) {
    List<WearRun> runs = new ArrayList<>();
    for (int i = 0; i < failed + running; i++) {
      runs.add(
          new WearRun(
              "SCR-02",
              "",
              "tube",
              "NR",
              "x",
              new Run(900 + i, i < failed),
              Optional.empty(),
              LocalDate.of(2025, 1, 1),
              i < failed ? Optional.of(LocalDate.of(2026, 1, 1)) : Optional.empty()));
    }
    return new Group(level, new GroupKey("", "", "tube", "NR", "x"), runs);
  }

  @Test
  void whatItComesFromAndWhatTheShapeMeansIsSaid() {
    Group g = group(Level.DUTY, 3, 2);
    assertThat(LifeText.basis(LifeEstimate.of(2.5, 2000, g.ages(false)), g))
        .startsWith("5 runs: 3 failed, 0 came out sound, 2 still running.")
        .matches(
            ".* Library and runs together, shape \\d\\.\\d \\(\\d\\.\\d to \\d\\.\\d\\): these wear"
                + " out, so age tells\\.");
    assertThat(LifeText.basis(LifeEstimate.of(1.0, 2000, List.of()), group(Level.DUTY, 0, 0)))
        .endsWith("whether age tells is not sure.");
    List<Run> young = new ArrayList<>();
    for (int i = 1; i <= 40; i++) {
      young.add(new Run(i * i * i / 10.0, true));
    }
    assertThat(LifeText.basis(LifeEstimate.of(0.8, 2000, young), group(Level.DUTY, 0, 0)))
        .endsWith("these fail young, so age protects.");
  }

  @Test
  void whoseRunsCountIsSaid() {
    GroupKey of = new GroupKey("SCR-02", "bolted", "tube", "NR", "x");
    Group own = group(Level.PUMP, 1, 1);
    assertThat(LifeText.together(own, own, of)).isEmpty();
    assertThat(LifeText.together(group(Level.DUTY, 7, 1), own, of))
        .isEqualTo(
            "2 runs of SCR-02 count in full, 6 of the other pumps in this duty as far as pumps are"
                + " alike.");
    assertThat(LifeText.level(Level.PUMP, of, "Lime slurry")).isEqualTo("SCR-02 alone");
    assertThat(LifeText.level(Level.DUTY, of, "Lime slurry")).isEqualTo("all in lime slurry");
  }

  @Test
  void whereTheCostsComeFromIsSaid() {
    assertThat(LifeText.costs(0, false, List.of())).startsWith("No pump runs with it now");
    assertThat(LifeText.costs(2, false, List.of())).startsWith("The catalogue has no kit");
    assertThat(
            LifeText.costs(
                1,
                true,
                List.of(
                    new Renewals.Renewal(
                        Optional.empty(),
                        86.6,
                        86.6 / 60 * 42,
                        40,
                        Optional.of(187.0),
                        290,
                        28,
                        Optional.empty()))))
        .contains("87 min of the plan at ¤42 an hour");
  }

  @Test
  void aGroupWithoutRunsStillHasWords() {
    Group none =
        new LifeGroups(List.of()).at(Level.DUTY, new GroupKey("A", "b", "tube", "NR", "x"));
    assertThat(LifeText.basis(LifeEstimate.of(2, 2000, List.of()), none))
        .startsWith("0 runs: 0 failed, 0 came out sound, 0 still running.");
  }
}
