package isokinon.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AvailabilityTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);
  private static final KitId FULL = new KitId("dp25", "wet-kit", "PTFE", "full-stroke");
  private static final KitId SHORT = new KitId("dp25", "wet-kit", "PTFE", "short-stroke");
  private static final ShelfLife FRESH = ShelfLife.of(ShelfLife.Group.B, TODAY.minusYears(1));
  private static final ShelfLife OLD = ShelfLife.of(ShelfLife.Group.B, TODAY.minusYears(11));

  @ParameterizedTest
  @CsvSource({
    "full-stroke, PTFE, full-stroke, true",
    "full-stroke, PTFE, short-stroke, false",
    "full-stroke, PTFE, '', true",
    "'', PTFE, short-stroke, true",
    "full-stroke, NBR, full-stroke, false",
  })
  void aKitRenewsASetOfItsMaterialOnItsPlates(
      String stands, String material, String hardware, boolean renews) {
    assertThat(new KitId("dp25", "wet-kit", "PTFE", stands).renews(material, hardware))
        .isEqualTo(renews);
  }

  @Test
  void piecesOfOneKitAreNotPiecesOfItsTwinOnOtherPlates() {
    Availability all =
        Availability.of(
            List.of(
                new Lot("L-1", FULL, 3, 1, FRESH),
                new Lot("L-2", FULL, 2, 0, FRESH),
                new Lot("L-3", SHORT, 4, 0, FRESH)),
            TODAY);
    assertThat(all.of(FULL)).isEqualTo(new Availability.Pieces(5, 1));
    assertThat(all.of(FULL).free()).isEqualTo(4);
    assertThat(all.of(SHORT).free()).isEqualTo(4);
  }

  @Test
  void whatIsOverAgeOrUsedUpIsNotThere() {
    Availability all =
        Availability.of(
            List.of(new Lot("L-1", FULL, 3, 2, OLD), new Lot("L-2", FULL, 0, 0, FRESH)), TODAY);
    assertThat(all.of(FULL)).isEqualTo(new Availability.Pieces(0, 0));
    assertThat(all.fittable("L-1")).isFalse();
    assertThat(all.fittable("L-2")).isFalse();
  }

  @Test
  void anEmptyLotIsUsedUpAndNotOverAge() {
    assertThat(LotStatus.of(FRESH, 0, TODAY)).isEqualTo(LotStatus.USED_UP);
    assertThat(LotStatus.of(OLD, 0, TODAY)).isEqualTo(LotStatus.USED_UP);
    assertThat(LotStatus.of(OLD, 1, TODAY)).isEqualTo(LotStatus.OVER_AGE);
    assertThat(LotStatus.MAKERS_DATE.fittable()).isTrue();
  }

  @Test
  void aCountBelowNothingIsRefused() {
    assertThatThrownBy(() -> new Lot("L-1", FULL, -1, 0, FRESH)).hasMessageContaining("L-1");
  }
}
