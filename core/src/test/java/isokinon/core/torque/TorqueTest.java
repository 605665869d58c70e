package isokinon.core.torque;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.sheet.Handling.Fastening;
import isokinon.core.sheet.Handling.Layout;
import isokinon.core.sheet.OnlyFor;
import isokinon.core.value.Source;
import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TorqueTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);
  private static final Fastening CAP =
      new Fastening(
          8,
          Layout.CIRCLE,
          "M8",
          14,
          16,
          "dry",
          "none",
          24,
          24,
          "",
          Source.STARTING,
          "",
          false,
          OnlyFor.EVERY_JOB);

  // ---- setting with an adapter ----------------------------------------------------------------

  @ParameterizedTest
  @CsvSource({"40, 300, 50, 0, 34.2857", "40, 300, 50, 90, 40", "25, 250, 60, 45, 21.3729"})
  void theSettingFallsWithTheAdaptersReach(
      double target, double handle, double adapter, double angle, double setting) {
    assertThat(WrenchSetting.settingNm(target, handle, adapter, angle))
        .isCloseTo(setting, within(5e-5));
  }

  @Property
  void anAdapterStraightOutAlwaysLowersTheSetting(
      @ForAll @DoubleRange(min = 1, max = 500) double target,
      @ForAll @DoubleRange(min = 100, max = 900) double handle,
      @ForAll @DoubleRange(min = 1, max = 300) double adapter) {
    double straight = WrenchSetting.settingNm(target, handle, adapter, 0);
    assertThat(straight).isLessThan(target);
    assertThat(WrenchSetting.settingNm(target, handle, adapter, 60)).isGreaterThan(straight);
    assertThat(WrenchSetting.settingNm(target, handle, 0, 0)).isCloseTo(target, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "0, 300, 50, 0, target torque",
    "-5, 300, 50, 0, target torque",
    "NaN, 300, 50, 0, target torque",
    "Infinity, 300, 50, 0, target torque",
    "40, 0, 50, 0, handle length",
    "40, 300, -1, 0, Adapter length",
    "40, 300, NaN, 0, Adapter length",
    "40, 300, 50, NaN, angle",
    "40, 300, 400, 180, no lever",
  })
  void aSettingThatCannotBeIsRefusedByName(
      double target, double handle, double adapter, double angle, String named) {
    assertThatThrownBy(() -> WrenchSetting.settingNm(target, handle, adapter, angle))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(named);
  }

  // ---- clamp force ----------------------------------------------------------------------------

  @Test
  void whatIsOnTheThreadDecidesHowHardItClamps() {
    assertThat(ClampForce.newtons(16, 8, ThreadFinish.DRY)).isCloseTo(10_000, within(1e-6));
    double pasted = ClampForce.newtons(20, 8, ThreadFinish.of("anti-seize").orElseThrow());
    assertThat(pasted)
        .as("M8 with anti-seize at 20 N·m pulls as 33 N·m dry does")
        .isCloseTo(ClampForce.newtons(100 / 3.0, 8, ThreadFinish.DRY), within(1e-6));
    assertThat(ClampForce.stressMpa("M8", pasted).orElseThrow())
        .isGreaterThan(ClampForce.A4_70_MPA);
    assertThat(ThreadFinish.of("food-grade paste")).contains(ThreadFinish.FOOD_GRADE_PASTE);
    assertThat(ThreadFinish.of("honey")).isEmpty();
  }

  @Test
  void aThreadWithoutDiameterIsRefused() {
    assertThatThrownBy(() -> ClampForce.newtons(16, 0, ThreadFinish.DRY))
        .hasMessageContaining("diameter");
  }

  // ---- wrench choice --------------------------------------------------------------------------

  private static Wrench wrench(String id, double min, double max, int daysLeft) {
    return new Wrench(id, min, max, TODAY.plusDays(daysLeft), false);
  }

  @Test
  void theSmallestWrenchThatWillDoIsChosen() {
    List<Wrench> crib = List.of(wrench("big", 20, 100, 9), wrench("small", 5, 25, 9));
    assertThat(Wrench.choose(crib, 22, TODAY).wrench()).map(Wrench::id).contains("small");
  }

  @ParameterizedTest
  @CsvSource({"4.9, false", "5.0, true", "25, true", "25.1, false"})
  void aWrenchIsTrustedBetweenTwentyAndAHundredPercent(double setting, boolean covered) {
    assertThat(wrench("W", 2, 25, 9).covers(setting)).isEqualTo(covered);
  }

  @Test
  void anOutOfDateWrenchIsNamedNotChosen() {
    Wrench.Choice choice = Wrench.choose(List.of(wrench("W-03", 4, 20, -1)), 15, TODAY);
    assertThat(choice.wrench()).isEmpty();
    assertThat(choice.because()).contains("W-03").contains("2026-03-16");
  }

  @Test
  void aWrenchIsGoodOnTheLastDayOfItsCalibration() {
    assertThat(Wrench.choose(List.of(wrench("W", 4, 20, 0)), 15, TODAY).wrench()).isPresent();
  }

  @Test
  void whatTheCribLacksIsSaid() {
    assertThat(Wrench.choose(List.of(wrench("W", 4, 20, 9)), 60, TODAY).because())
        .isEqualTo("The crib has no wrench whose range from 20 to 100 % holds 60.0 N·m.");
  }

  // ---- judging a reading ----------------------------------------------------------------------

  @ParameterizedTest
  @CsvSource({
    "14.0, IN_RANGE, 0",
    "16.0, IN_RANGE, 0",
    "16.8, OVER, 0.8",
    "13.5, UNDER, 0.5",
  })
  void aReadingIsJudgedAgainstTheRange(double nm, TorqueReading.Lie lie, double by) {
    TorqueReading.Judgement judgement = TorqueReading.judge(CAP, 100, 3, nm);
    assertThat(judgement.lie()).isEqualTo(lie);
    assertThat(judgement.byNm()).isCloseTo(by, within(1e-9));
  }

  @Test
  void whatToDoAboutAMissIsSaid() {
    assertThat(TorqueReading.judge(CAP, 100, 3, 16.8).say())
        .isEqualTo("Bolt 3 is 0.8 N·m over: back it off, then take it again.");
    assertThat(TorqueReading.judge(CAP, 100, 3, 13.5).say()).contains("0.5 N·m short");
  }

  @ParameterizedTest
  @CsvSource({"-1", "NaN", "Infinity", "64.1", "150"})
  void aValueThatIsNoTorqueOfThisJointIsCalledThat(double nm) {
    assertThat(TorqueReading.absurdity(CAP, nm)).isNotEmpty();
  }

  @Test
  void aPlainMissIsNotAbsurd() {
    assertThat(TorqueReading.absurdity(CAP, 20)).isEmpty();
    assertThat(TorqueReading.absurdity(CAP, 0)).isEmpty();
  }

  @Test
  void earlyPassesHaveAWiderBandAroundTheirShare() {
    TorqueReading.Band band = TorqueReading.band(CAP, 60);
    assertThat(band.minNm()).isLessThan(14 * 0.6);
    assertThat(band.maxNm()).isGreaterThan(16 * 0.6).isLessThan(14);
  }
}
