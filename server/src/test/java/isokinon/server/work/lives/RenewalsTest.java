package isokinon.server.work.lives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.core.sheet.reading.SheetReader;
import isokinon.server.db.DataVersions;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.shop.SettingMapper;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.library.PlanMinutes;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.lives.Renewals.Renewal;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.shared.ShopSettings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What renewing the wearing set of a pump takes. */
class RenewalsTest {

  private static final String SHEET = "aodd-bolted-plastic-25";

  private final Sheets sheets = mock(Sheets.class);
  private final WetEndMapper store = mock(WetEndMapper.class);
  private final DataVersions versions = new DataVersions();
  private final Renewals renewals =
      new Renewals(
          sheets,
          new FittedWetEnds(store, new Catalogue(store, versions), versions),
          new Catalogue(store, versions),
          new PlanMinutes(versions),
          new ShopSettings(mock(SettingMapper.class), versions, Clock.systemUTC()));

  @BeforeEach
  void theBoltedPlasticPump() throws IOException {
    String source = Files.readString(Path.of("../library/sheets/" + SHEET + ".yaml"));
    when(sheets.find(eq(SHEET), any()))
        .thenReturn(Optional.of(SheetReader.forLibrary().read(source).orThrow().by(List.of())));
  }

  private static WetKitRow kit(String material, String hardware, double price) {
    return new WetKitRow(SHEET, "wet-kit", material, hardware, "", price, 5, "");
  }

  private static WetEndRow wetEnd(String hardware, double stop) {
    return WetEndRow.of("EFF-02", hardware, stop);
  }

  private Renewal renewal() {
    return renewals.of(SomePumps.aged("EFF-02", 900)).orElseThrow();
  }

  @Test
  void itIsTheKitAndTheMinutesOfThePlan() {
    when(store.allKits()).thenReturn(List.of(kit("NBR", "full-stroke", 112)));
    when(store.wetEnds()).thenReturn(List.of(wetEnd("full-stroke", 290)));
    Renewal r = renewal();
    assertThat(r.minutes()).isGreaterThan(r.lookMinutes());
    assertThat(r.planned().orElseThrow())
        .isCloseTo(112 + r.minutes() / 60 * ShopSettings.USUAL_LABOUR_PER_HOUR, within(1e-9));
    assertThat(r.failed().orElseThrow()).isCloseTo(r.planned().get() + 290, within(1e-9));
    assertThat(r.look())
        .isCloseTo(r.lookMinutes() / 60 * ShopSettings.USUAL_LABOUR_PER_HOUR, within(1e-9));
    assertThat(r.mostHours()).isEmpty();
  }

  @Test
  void aKitOnThePlatesInThePumpComesBeforeACheaperOneOnOthers() {
    when(store.allKits())
        .thenReturn(
            List.of(
                kit("NBR", "short-stroke", 90),
                kit("NBR", "full-stroke", 112),
                kit("NBR", "full-stroke", 108),
                kit("EPDM", "full-stroke", 60)));
    when(store.wetEnds()).thenReturn(List.of(wetEnd("full-stroke", 0)));
    assertThat(renewal().kit().orElseThrow().price()).isEqualTo(108);
  }

  @Test
  void withoutAKitThePriceIsNotKnownButTheMinutesAre() {
    when(store.allKits()).thenReturn(List.of(kit("EPDM", "full-stroke", 60)));
    Renewal r = renewal();
    assertThat(r.planned()).isEmpty();
    assertThat(r.failed()).isEmpty();
    assertThat(r.minutes()).isPositive();
    assertThat(r.stop()).isZero();
  }

  @Test
  void aPumpWithoutASheetHasNone() {
    when(sheets.find(eq(SHEET), any())).thenReturn(Optional.empty());
    assertThat(renewals.of(SomePumps.aged("EFF-02", 900))).isEmpty();
  }

  @Test
  void theLimitOfTheSheetGoesWithIt() throws IOException {
    String source =
        Files.readString(Path.of("../library/sheets/" + SHEET + ".yaml"))
            .replace("    role: diaphragm\n", "    role: diaphragm\n    mostHours: 6000\n");
    when(sheets.find(eq(SHEET), any()))
        .thenReturn(Optional.of(SheetReader.forLibrary().read(source).orThrow().by(List.of())));
    when(store.allKits()).thenReturn(List.of());
    assertThat(renewal().mostHours()).contains(6000.0);
  }
}
