package isokinon.server.work.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import isokinon.core.schedule.Slots;
import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearShop.Stretch;
import isokinon.core.year.YearShop.Window;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.db.diary.DiaryMapper.ShiftRow;
import isokinon.server.work.shared.ShopSettings;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class BenchHoursTest {

  /** A Monday. */
  private static final LocalDate FROM = LocalDate.of(2026, 11, 30);

  private final DiaryMapper diary = mock(DiaryMapper.class);
  private final BenchHours hours = new BenchHours(diary, mock(ShopSettings.class));

  private static LineStopRow stop(int day, int from, int to) {
    LocalDate on = FROM.plusDays(day);
    return new LineStopRow(
        "press",
        "cloth change",
        on.atTime(LocalTime.of(from, 0)).atOffset(ZoneOffset.UTC),
        on.atTime(LocalTime.of(to, 0)).atOffset(ZoneOffset.UTC));
  }

  private List<Window> still(LineStopRow... stops) {
    when(diary.stops()).thenReturn(List.of(stops));
    return hours.still(List.of("press"), FROM, ZoneOffset.UTC).get(0);
  }

  private static List<Integer> days(List<Window> windows) {
    return IntStream.range(0, windows.size())
        .filter(d -> !windows.get(d).equals(Window.NEVER))
        .boxed()
        .toList();
  }

  @Test
  void aLineStandsStillOnAsOftenAsItsWrittenStopsSay() {
    List<Window> still = still(stop(2, 6, 14), stop(16, 6, 14), stop(30, 8, 12));
    assertThat(days(still)).startsWith(2, 16, 30, 44, 58).hasSize(26);
    assertThat(still.get(2)).isEqualTo(new Window(12, 28));
    assertThat(still.get(44)).as("as long as the last").isEqualTo(new Window(16, 24));
  }

  @Test
  void aLineWithOneStopOrNoneStandsStillWhenAsked() {
    assertThat(still(stop(2, 6, 14))).containsOnly(new Window(0, Slots.A_DAY));
    assertThat(still()).hasSize(YearOutcome.DAYS).containsOnly(new Window(0, Slots.A_DAY));
  }

  @Test
  void onePersonMoreHasTheHoursOfWhoHasMostAndOneLessIsWhoHasFewest() {
    when(diary.shifts())
        .thenReturn(
            List.of(
                new ShiftRow("RT", 1, 360, 840, false),
                new ShiftRow("RT", 2, 360, 840, false),
                new ShiftRow("KO", 1, 480, 960, false),
                new ShiftRow("KO", 6, 360, 720, true)));
    when(diary.holidays()).thenReturn(List.of(FROM.plusDays(7)));
    List<List<Stretch>> as = hours.days(FROM, PeopleLevel.AS_THEY_ARE);
    assertThat(as.get(0)).containsExactly(new Stretch(12, 28, false), new Stretch(16, 32, false));
    assertThat(as.get(5)).containsExactly(new Stretch(12, 24, true));
    assertThat(as.get(7)).as("a day off").isEmpty();
    assertThat(as.get(14)).hasSize(2);
    assertThat(hours.days(FROM, PeopleLevel.ONE_MORE).get(1))
        .containsExactly(new Stretch(12, 28, false), new Stretch(12, 28, false));
    List<List<Stretch>> less = hours.days(FROM, PeopleLevel.ONE_LESS);
    assertThat(less.get(0)).containsExactly(new Stretch(12, 28, false));
    assertThat(less.get(5)).isEmpty();
  }
}
