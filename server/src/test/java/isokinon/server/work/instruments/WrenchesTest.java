package isokinon.server.work.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.server.db.shop.WrenchRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

class WrenchesTest {

  private static final LocalDate TODAY = LocalDate.of(2026, 3, 17);

  private final StoresMapper stores = mock(StoresMapper.class);
  private final Wrenches crib =
      new Wrenches(stores, Clock.fixed(Instant.parse("2026-03-17T08:00:00Z"), ZoneOffset.UTC));

  private void holds(WrenchRow... wrenches) {
    when(stores.wrenches()).thenReturn(List.of(wrenches));
  }

  @Test
  void theAdapterCountsBeforeTheWrenchIsChosen() {
    holds(new WrenchRow("small", 5, 25, TODAY, false), new WrenchRow("big", 20, 100, TODAY, false));
    assertThat(crib.choose(27).wrench()).contains("big");
    Wrenches.WrenchChoice through = crib.choose(27, "300", "50", "0");
    assertThat(through.wrench()).contains("small");
    assertThat(through.settingNm()).isEqualTo(27.0 * 300 / 350);
  }

  @Test
  void anEmptyCribSaysWhatItLacks() {
    holds();
    assertThat(crib.choose(15).wrench()).isEmpty();
    assertThat(crib.choose(15).because()).contains("15.0 N·m");
  }

  @Test
  void lengthsAreReadWithTheirUnits() {
    holds(new WrenchRow("small", 5, 25, TODAY, false));
    assertThat(crib.choose(27, "0,3 m", "50 mm", "0").settingNm()).isEqualTo(27.0 * 300 / 350);
    assertThatThrownBy(() -> crib.choose(27, "300", "400", "180"))
        .isInstanceOf(RequestProblem.class)
        .hasMessageContaining("no lever");
  }
}
