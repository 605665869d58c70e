package isokinon.server.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import isokinon.server.db.DataVersions;
import isokinon.server.db.shop.SettingMapper;
import isokinon.server.papers.Labels.Label;
import isokinon.server.work.diary.Diary;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.ShopWords;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Labels, and the calendar file. */
class LabelsTest {

  private static final ShopWords WORDS =
      new ShopWords(
          new ShopSettings(mock(SettingMapper.class), new DataVersions(), Clock.systemUTC()));

  @Test
  void aCodeIsSquareAndDarkOnLight() throws Exception {
    var image = ImageIO.read(new ByteArrayInputStream(Labels.qr("EFF-02")));
    assertThat(image.getWidth()).isEqualTo(image.getHeight());
    // The quiet zone is light, the first finder pattern dark.
    assertThat(image.getRGB(2, 2) & 0xFFFFFF).isEqualTo(0xFFFFFF);
    assertThat(image.getRGB(4 * 8 + 4, 4 * 8 + 4) & 0xFFFFFF).isZero();
  }

  @Test
  void everyLabelHasItsTagAndItsLines() throws Exception {
    List<Label> labels =
        IntStream.range(1, 16)
            .mapToObj(i -> new Label("TAG-" + i, List.of("made of <steel> & rubber")))
            .toList();
    try (var pdf = Loader.loadPDF(new Labels(new Paper(WORDS)).pdf(labels))) {
      String text = new PDFTextStripper().getText(pdf);
      assertThat(text).contains("TAG-1", "TAG-15", "made of <steel> & rubber");
    }
  }

  @Test
  void theCalendarFileIsReadBackWithItsMoments() throws Exception {
    OffsetDateTime from = OffsetDateTime.of(2026, 3, 17, 6, 0, 0, 0, ZoneOffset.ofHours(1));
    String because = "Due in 11 days; nothing, or £5, wasted.\nSecond line.";
    String ics =
        new CalendarFile()
            .of(
                List.of(
                    new Diary.Booked("EFF-02", "RT", from, from.plusMinutes(90), because),
                    new Diary.Booked("SCR-03", "KO", from, from.plusMinutes(30), "")));
    assertThat(ics.lines().allMatch(l -> l.length() <= 75)).isTrue();
    Calendar read = new CalendarBuilder().build(new StringReader(ics));
    List<VEvent> events = read.getComponents(Component.VEVENT);
    assertThat(events).hasSize(2);
    assertThat(Instant.from(events.get(0).getDateTimeStart().getDate()))
        .isEqualTo(from.toInstant());
    assertThat(events.get(0).getDescription().getValue()).isEqualTo(because);
    assertThat(events.get(0).getSummary().getValue()).isEqualTo("Rebuild EFF-02, RT");
  }
}
