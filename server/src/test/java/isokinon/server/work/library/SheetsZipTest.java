package isokinon.server.work.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import isokinon.server.db.DataVersions;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.shop.SheetMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

class SheetsZipTest {

  private static final long A_LOOK_TAKES_MS = 8_000;

  /** Eight seconds a sheet: two are looked at in twenty, the third is told to come by itself. */
  @Test
  void aZipThatTakesTooLongIsNotLookedAtToItsEnd() throws IOException {
    SheetMapper store = mock(SheetMapper.class);
    Clock clock = mock(Clock.class);
    AtomicLong now = new AtomicLong();
    when(clock.millis()).thenAnswer(asked -> now.getAndAdd(A_LOOK_TAKES_MS));
    when(clock.instant()).thenReturn(Clock.systemUTC().instant());
    when(clock.getZone()).thenReturn(ZoneOffset.UTC);
    Sheets sheets = new Sheets(store, mock(PumpMapper.class), new DataVersions(), clock);
    List<Sheets.Imported> said = sheets.importZip(zipOf(3));
    assertThat(said).extracting(i -> i.faults().isEmpty()).containsExactly(true, true, false);
    verify(store, times(2)).add(any());
  }

  private static byte[] zipOf(int sheets) throws IOException {
    String lobe = Files.readString(Path.of("../library/sheets/lobe-face-seal-40.yaml"));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (int i = 0; i < sheets; i++) {
        zip.putNextEntry(new ZipEntry(i + ".yaml"));
        zip.write(
            lobe.replace("id: lobe-face-seal-40", "id: lobe-" + i)
                .getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
    return bytes.toByteArray();
  }
}
