package isokinon.server.work.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.life.FailureCause;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.year.Keeping;
import isokinon.core.year.YearShop;
import isokinon.core.year.YearShop.Kit;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.year.YearQuestion.ChangeKind;
import isokinon.server.work.year.YearQuestion.ChangeQuestion;
import isokinon.server.work.year.YearView.YearDriver;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Bands of many years, and what is said of them. */
class YearWordsTest {

  private static final YearGround GROUND =
      new YearGround(
          LocalDate.of(2026, 11, 30),
          List.of(),
          List.of(),
          new YearShop(
              List.of(), List.of(new Kit("NBR Stator kit", 2, 28)), List.of(), List.of(), 0),
          List.of(),
          1,
          2);

  private static YearDriver driver(String pump, double saves) {
    return new YearDriver(pump, "", "", saves, 0, 0);
  }

  private static ChangeQuestion change(ChangeKind kind, Integer pieces) {
    return new ChangeQuestion(kind, null, 0, pieces, null, null);
  }

  @Test
  void aBandHoldsNineYearsInTen() {
    double[] years = IntStream.rangeClosed(1, 1000).mapToDouble(i -> i).toArray();
    assertThat(YearBands.of(years)).isEqualTo(new YearView.YearBand(51, 501, 951));
    assertThat(YearBands.over(new float[] {1, 5, 6, 9}, 5)).isEqualTo(0.5);
    assertThat(YearBands.less(new double[] {5, 2}, new double[] {3, 4})).containsExactly(2, -2);
    assertThat(YearBands.lessWithOwnLuck(new double[] {5, 2}, new double[] {3, 4}))
        .containsExactly(1, -1);
    assertThat(YearBands.mean(years)).isCloseTo(500.5, within(1e-9));
  }

  @Test
  void howAPumpIsKeptIsSaidInHoursItRuns() {
    assertThat(YearText.kept(Keeping.UNTIL_IT_FAILS, 1)).isEqualTo("never");
    assertThat(YearText.kept(new Keeping(Way.FIXED, 739, 0, 0), 1)).isEqualTo("740");
    assertThat(YearText.kept(new Keeping(Way.FIXED, 9e6, 0, 0), 4000)).isEqualTo("2\u2009250");
    assertThat(YearText.kept(new Keeping(Way.LOOK, 300, 0, 0), 1)).isEqualTo("look 300");
  }

  @Test
  void whatDrivesItIsSaidWithItsShare() {
    List<YearDriver> drivers =
        List.of(driver("A", 600), driver("B", -100), driver("C", 300), driver("D", 100));
    assertThat(YearText.driving(drivers, 1200)).isEqualTo("A, C and D bring 83 % of it.");
    assertThat(YearText.driving(drivers.subList(0, 1), 600)).isEqualTo("A brings 100 % of it.");
    assertThat(YearText.driving(drivers, 0)).isEmpty();
    assertThat(YearText.leaves(GROUND))
        .contains("1 pump without a sheet is left out")
        .contains("2 pumps count with labour alone");
  }

  @Test
  void aChangeIsCalledByWhatItDoes() {
    assertThat(YearChanges.say(change(ChangeKind.KIT, 1), GROUND))
        .isEqualTo("1 piece more of NBR Stator kit");
    assertThat(YearChanges.say(change(ChangeKind.KIT, -2), GROUND))
        .isEqualTo("2 pieces fewer of NBR Stator kit");
    assertThat(YearChanges.say(change(ChangeKind.ONE_PERSON_MORE, null), GROUND))
        .isEqualTo("One person more at the bench");
    for (ChangeQuestion wrong :
        List.of(
            change(ChangeKind.KIT, 0),
            change(null, null),
            new ChangeQuestion(ChangeKind.KIT, null, 7, 1, null, null),
            new ChangeQuestion(ChangeKind.AT_AN_AGE, "A-01", null, null, null, null),
            new ChangeQuestion(
                ChangeKind.PREVENTED, "A-01", null, null, null, FailureCause.WORE_OUT))) {
      assertThatThrownBy(() -> YearChanges.say(wrong, GROUND))
          .isInstanceOf(RequestProblem.Invalid.class);
    }
  }

  @ParameterizedTest
  @EnumSource(YearPolicy.class)
  void everyPolicyHasAName(YearPolicy policy) {
    assertThat(YearText.title(policy)).isNotBlank();
  }
}
