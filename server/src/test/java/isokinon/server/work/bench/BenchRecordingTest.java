package isokinon.server.work.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import isokinon.core.renewal.Consequence;
import isokinon.core.rules.Actor;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.server.db.DataVersions;
import isokinon.server.db.pumps.CounterMapper;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.EventRow;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.inspection.InspectionLog;
import isokinon.server.work.inspection.NextLooks;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.instruments.GaugeRack;
import isokinon.server.work.library.Meetings;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.stages.BenchViewer;
import isokinon.server.work.stores.KeptParts;
import isokinon.server.work.stores.Shelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.InOrder;

/** What recording an act asks of storage: the lock first, then the key, then at most one row. */
class BenchRecordingTest {

  private static final OffsetDateTime OPENED = OffsetDateTime.parse("2026-03-17T07:00:00Z");
  private static final RebuildRow ROW =
      new RebuildRow(7, "EFF-02", "dp", 1, OPENED, "RT", "due", "TPC-ET", 100, null, "");
  private static final PumpRow PUMP = pump("dp");
  private static final Hand RT = new Hand(new Actor("RT", false, false), "bench 2", false);

  private final BenchMapper store = mock(BenchMapper.class);
  private final PumpMapper pumps = mock(PumpMapper.class);
  private final StoresMapper stores = mock(StoresMapper.class);
  private final Sheets sheets = mock(Sheets.class);
  private final BenchViewer viewer = mock(BenchViewer.class);
  private static final Clock NOW =
      Clock.fixed(Instant.parse("2026-03-17T08:00:00Z"), ZoneOffset.UTC);

  private final Shelf shelves = mock(Shelf.class);
  private final KeptParts keptParts = mock(KeptParts.class);
  private final PumpRegister register =
      new PumpRegister(pumps, mock(CounterMapper.class), store, NOW);
  private final Bench bench =
      new Bench(
          store,
          stores,
          sheets,
          viewer,
          mock(NextLooks.class),
          mock(GaugeRack.class),
          mock(ShelfLifeService.class),
          mock(InspectionLog.class),
          mock(PartAssessment.class),
          register,
          new Jobs(store, register, sheets, mock(Meetings.class), new DataVersions()),
          shelves,
          keptParts,
          mock(HandBack.class),
          NOW);

  @BeforeEach
  void aRebuildIsOpen() throws IOException {
    String source = Files.readString(Path.of("../library/sheets/aodd-bolted-plastic-25.yaml"));
    when(store.lock(7)).thenReturn(Optional.of(ROW));
    when(store.rebuild(7)).thenReturn(Optional.of(ROW));
    when(store.byKey(any())).thenReturn(Optional.empty());
    when(store.events(7)).thenReturn(List.of());
    when(pumps.byTag("EFF-02")).thenReturn(Optional.of(PUMP));
    when(sheets.at("dp", 1)).thenReturn(SheetReader.forLibrary().read(source).orThrow());
  }

  private static PumpRow pump(String sheet) {
    return new PumpRow(
        "EFF-02",
        "Effluent",
        3,
        Family.AIR_DIAPHRAGM,
        "DP25",
        "1",
        sheet,
        "Sludge",
        "",
        "diaphragm",
        "TPC-ET",
        "PP",
        100,
        0,
        20,
        2300,
        Abrasion.LIGHT,
        2,
        Consequence.NORMAL,
        LocalDate.of(2026, 1, 1),
        0,
        null,
        0,
        null,
        "",
        0,
        0,
        0,
        "");
  }

  private static ActRequest note(long seen, String text) {
    return new ActRequest(UUID.randomUUID(), seen, new AskedJobAct.Noted(text), Optional.empty());
  }

  @Test
  void theRebuildIsLockedBeforeItsEventsAreRead() {
    bench.act(7, note(0, "wet floor"), RT);
    InOrder order = inOrder(store);
    order.verify(store).lock(7);
    order.verify(store).byKey(any());
    order.verify(store).events(7);
    order.verify(store).append(any());
  }

  @Test
  void whatIsRecordedIsWhoWhenAndWhat() {
    bench.act(7, note(0, "wet floor"), RT);
    ArgumentCaptor<EventRow> row = ArgumentCaptor.forClass(EventRow.class);
    verify(store).append(row.capture());
    assertThat(row.getValue().seq()).isEqualTo(1);
    assertThat(row.getValue().who()).isEqualTo("RT");
    assertThat(row.getValue().device()).isEqualTo("bench 2");
    assertThat(row.getValue().lead()).isFalse();
    assertThat(row.getValue().text()).isEqualTo("wet floor");
    assertThat(row.getValue().at().toInstant()).isEqualTo(Instant.parse("2026-03-17T08:00:00Z"));
  }

  @Test
  void aKnownKeyIsAnsweredWithoutAnotherRow() {
    EventRow there =
        new EventRow(
            7, 1, "k", OPENED, "RT", false, "NOTED", "", "", 0, 0, null, "", "wet", "", "", "");
    when(store.byKey(any())).thenReturn(Optional.of(there));
    when(store.events(7)).thenReturn(List.of(there));
    bench.act(7, note(0, "wet"), RT);
    verify(store, never()).append(any());
  }

  @Test
  void aKeyOfAnotherRebuildIsToldSo() {
    EventRow there =
        new EventRow(
            8, 1, "k", OPENED, "RT", false, "NOTED", "", "", 0, 0, null, "", "wet", "", "", "");
    when(store.byKey(any())).thenReturn(Optional.of(there));
    assertThatThrownBy(() -> bench.act(7, note(0, "wet"), RT))
        .isInstanceOf(RequestProblem.NotNow.class)
        .hasMessageContaining("rebuild 8");
    verify(store, never()).append(any());
  }

  @Test
  void aStaleActRecordsNothing() {
    when(store.events(7))
        .thenReturn(
            List.of(
                new EventRow(
                    7, 1, "k", OPENED, "KO", false, "NOTED", "", "", 0, 0, null, "", "first", "",
                    "", "")));
    assertThatThrownBy(() -> bench.act(7, note(0, "second"), RT))
        .isInstanceOf(RequestProblem.Stale.class)
        .hasMessageStartingWith("KO was here first");
    verify(store, never()).append(any());
  }

  @Test
  void aRefusedActRecordsNothing() {
    assertThatThrownBy(() -> bench.act(7, note(0, " "), RT))
        .isInstanceOf(RequestProblem.class)
        .hasMessage("The note is empty.");
    verify(store, never()).append(any());
  }

  @Test
  void aPumpWithoutASheetIsToldSo() {
    when(pumps.lock("EFF-02")).thenReturn(Optional.of(pump(null)));
    when(store.runningOn("EFF-02")).thenReturn(Optional.empty());
    assertThatThrownBy(() -> bench.open("EFF-02", "RT", "due"))
        .isInstanceOf(RequestProblem.class)
        .hasMessageContaining("has no sheet yet");
  }

  @Test
  void nothingIsBookedOutUntilThePumpIsHandedBack() {
    bench.act(7, note(0, "wet floor"), RT);
    verify(shelves, never()).use(any(), any(), any());
    verify(store, never()).close(anyLong(), any());
    verify(pumps, never()).refit(any());
  }
}
