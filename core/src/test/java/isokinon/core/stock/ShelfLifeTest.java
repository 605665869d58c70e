package isokinon.core.stock;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.stock.ShelfLife.Group;
import java.time.LocalDate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ShelfLifeTest {

  private static final LocalDate CURED = LocalDate.of(2026, 3, 1);

  @ParameterizedTest
  @CsvSource({
    "A, 2031-03-01, 2033-03-01",
    "B, 2033-03-01, 2036-03-01",
    "C, 2036-03-01, 2041-03-01"
  })
  void theGroupsOfIso2230(Group group, LocalDate useBy, LocalDate extendedBy) {
    ShelfLife life = ShelfLife.of(group, CURED);
    assertThat(life.useBy()).contains(useBy);
    assertThat(life.extendedBy()).contains(extendedBy);
  }

  @ParameterizedTest
  @CsvSource({
    "2033-03-01, IN_DATE",
    "2033-03-02, NEEDS_INSPECTION",
    "2036-03-01, NEEDS_INSPECTION",
    "2036-03-02, OVER_AGE",
  })
  void anNbrLotAsTheYearsGoBy(LocalDate day, LotStatus status) {
    assertThat(ShelfLife.of(Group.B, CURED).on(day)).isEqualTo(status);
  }

  @Test
  void ptfeDoesNotAge() {
    ShelfLife life = ShelfLife.of(Group.NONE, CURED);
    assertThat(life.useBy()).isEmpty();
    assertThat(life.on(CURED.plusYears(90))).isEqualTo(LotStatus.IN_DATE);
  }

  @Test
  void outsideTheStandardTheDateIsTheMakersAndUnknownToUs() {
    ShelfLife life = ShelfLife.of(Group.MAKER, CURED);
    assertThat(life.useBy()).isEmpty();
    assertThat(life.on(CURED)).isEqualTo(LotStatus.MAKERS_DATE);
  }

  @Test
  void aLeapDayCureEndsOnTheLastOfFebruary() {
    assertThat(ShelfLife.of(Group.A, LocalDate.of(2024, 2, 29)).useBy())
        .contains(LocalDate.of(2029, 2, 28));
  }

  @Property
  void aLotNeverGetsBetterWithAge(
      @ForAll @IntRange(min = 0, max = 9000) int day,
      @ForAll @IntRange(min = 1, max = 9000) int later) {
    for (Group group : new Group[] {Group.A, Group.B, Group.C}) {
      ShelfLife life = ShelfLife.of(group, CURED);
      assertThat(life.on(CURED.plusDays(day + later)))
          .isGreaterThanOrEqualTo(life.on(CURED.plusDays(day)));
    }
  }

  @ParameterizedTest
  @EnumSource(Group.class)
  void everyGroupHasAStandingOnAnyDay(Group group) {
    assertThat(ShelfLife.of(group, CURED).on(CURED.plusYears(8))).isNotNull();
  }
}
