package isokinon.server.work.diary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import isokinon.core.life.Weibull;
import isokinon.core.schedule.WaitingCost;
import isokinon.server.db.DataVersions;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.DiaryEntryRow;
import isokinon.server.db.diary.DiaryMapper.FixtureRow;
import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.db.diary.DiaryMapper.PlannedDay;
import isokinon.server.db.diary.DiaryMapper.ShiftRow;
import isokinon.server.db.shop.SettingMapper;
import isokinon.server.work.diary.DiaryView.Unplaced;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.lives.DueDay;
import isokinon.server.work.lives.SomePumps;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.transaction.PlatformTransactionManager;

/** What the diary says of jobs, placed and not. Today is Tuesday, 08:00. */
@Tag("slow")
class DiaryTest {

  private static final Clock NOW =
      Clock.fixed(Instant.parse("2026-03-17T08:00:00Z"), ZoneOffset.UTC);

  private final DiaryMapper store = mock(DiaryMapper.class);
  private final WorkList workList = mock(WorkList.class);
  private final Diary diary =
      new Diary(
          store,
          workList,
          mock(isokinon.server.work.rounds.Rounds.class),
          new ShopSettings(mock(SettingMapper.class), new DataVersions(), NOW),
          mock(PlatformTransactionManager.class),
          Duration.ofMillis(300),
          NOW);

  @BeforeEach
  void someoneWorksOnWeekdays() {
    List<ShiftRow> shifts = new ArrayList<>();
    for (int day = 1; day <= 5; day++) {
      shifts.add(new ShiftRow("RT", day, 360, 840, false));
    }
    when(store.shifts()).thenReturn(shifts);
  }

  private static Work work(String tag, double minutes, double dueDays, int kitDay, String line) {
    double age = 2300 - 20 * dueDays;
    return new Work(
        SomePumps.aged(tag, age),
        minutes,
        new WaitingCost(new Weibull(3, 4000), age, 20, 2300, 170, 300),
        new DueDay(dueDays, ""),
        kitDay,
        "Its kit is not on the shelf: ordered today it is here in " + kitDay + " days.",
        Optional.empty(),
        line,
        "");
  }

  private void jobs(Work... jobs) {
    when(workList.within(anyInt(), any())).thenReturn(List.of(jobs));
  }

  private List<DiaryEntryRow> placed() {
    ArgumentCaptor<List<DiaryEntryRow>> entries = ArgumentCaptor.captor();
    verify(store).add(entries.capture());
    return entries.getValue();
  }

  private String causeOf(Work job) {
    jobs(job);
    when(store.entries())
        .thenReturn(
            List.of(
                new DiaryEntryRow(
                    "OTHER",
                    "RT",
                    OffsetDateTime.now(NOW),
                    OffsetDateTime.now(NOW).plusHours(1),
                    false,
                    "",
                    "MA",
                    OffsetDateTime.now(NOW))));
    return diary.view().unplaced().stream().map(Unplaced::cause).findFirst().orElse("");
  }

  @Test
  void aJobIsPlacedInAShiftAfterItsKitIsHere() {
    jobs(work("P-1", 87, 3, 2, ""));
    diary.plan("MA");
    DiaryEntryRow entry = placed().get(0);
    assertThat(entry.startsAt().toLocalDate()).isAfterOrEqualTo("2026-03-19");
    assertThat(entry.startsAt().getHour()).isBetween(6, 12);
    assertThat(entry.endsAt()).isEqualTo(entry.startsAt().plusMinutes(90));
    assertThat(entry.because())
        .startsWith("Due in 3 days.")
        .contains("ordered today it is here in 2 days")
        .endsWith("No free time costs less.");
    verify(store).plan(List.of(new PlannedDay("P-1", entry.startsAt().toLocalDate())));
  }

  @Test
  void aJobOfALineWaitsUntilItStandsStill() {
    OffsetDateTime from = OffsetDateTime.of(2026, 3, 20, 9, 0, 0, 0, ZoneOffset.UTC);
    when(store.stops())
        .thenReturn(List.of(new LineStopRow("Press", "cloth", from, from.plusHours(3))));
    jobs(work("P-1", 60, -2, 0, "Press"));
    diary.plan("MA");
    assertThat(placed().get(0).startsAt()).isEqualTo(from);
    assertThat(placed().get(0).because())
        .startsWith("It is 2 days past its due day.")
        .contains("Only while Press stands still.");
  }

  @Test
  void whyAJobHasNoPlaceIsSaid() {
    assertThat(causeOf(work("P-1", 900, 3, 0, ""))).contains("no shift is that long");
    assertThat(causeOf(work("P-1", 60, 3, 60, ""))).endsWith("That is beyond these six weeks.");
    assertThat(causeOf(work("P-1", 60, 3, 0, "Press")))
        .startsWith("Press does not stand still long enough");
    assertThat(causeOf(work("P-1", 60, 3, 0, ""))).startsWith("Others that cost more to put off");
    when(store.shifts()).thenReturn(List.of());
    assertThat(causeOf(work("P-1", 60, 3, 0, ""))).isEqualTo("Nobody has hours in the diary.");
  }

  @Test
  void whyAJobCannotBePutSomewhereIsSaid() {
    jobs(work("P-1", 60, 3, 2, ""));
    assertThatThrownBy(() -> diary.pin(new Diary.PinRequest("P-1", 1, 480, "RT"), "MA"))
        .hasMessageContaining("cannot be done then");
    assertThatThrownBy(() -> diary.pin(new Diary.PinRequest("P-1", 4, 480, "RT"), "MA"))
        .hasMessageContaining("Nobody is there");
    assertThatThrownBy(() -> diary.pin(new Diary.PinRequest("P-1", 3, 810, "RT"), "MA"))
        .hasMessageContaining("Nobody is there");
    assertThatThrownBy(() -> diary.pin(new Diary.PinRequest("P-1", 42, 480, "RT"), "MA"))
        .hasMessageContaining("it holds six weeks");
    assertThatThrownBy(() -> diary.pin(new Diary.PinRequest("P-9", 3, 480, "RT"), "MA"))
        .hasMessageContaining("No job of P-9");
    diary.pin(new Diary.PinRequest("P-1", 3, 493, "RT"), "MA");
    DiaryEntryRow entry = placed().get(0);
    assertThat(entry.pinned()).isTrue();
    assertThat(entry.startsAt().getHour()).isEqualTo(8);
    assertThat(entry.startsAt().getMinute()).isZero();
  }

  @Test
  void whatPeoplePutElsewhereKeepsThePairTheFixtureAndThePersonFree() {
    FixtureRow bench = new FixtureRow("bench", "long bench", 1, "diaphragm");
    Work w = work("P-1", 60, 3, 0, "");
    Work other = work("P-2", 60, 3, 0, "");
    DiaryEntryRow pinned = at("P-2", "KO", 3, 9);
    assertThat(putting(w, other, pinned)).isEmpty();
    assertThat(putting(w, other, at("P-2", "RT", 3, 9)))
        .isEqualTo("RT does P-2 then, and that one is pinned.");
    assertThat(putting(with(w, "P-2", null), other, pinned)).contains("P-2, its pair, is pinned");
    assertThat(putting(w, with(other, "P-1", null), pinned)).contains("P-2, its pair, is pinned");
    assertThat(putting(with(w, "", bench), with(other, "", bench), pinned))
        .isEqualTo("The long bench is taken then by what is pinned.");
    assertThat(putting(with(w, "", bench), other, pinned)).isEmpty();
    assertThat(putting(with(w, "P-2", bench), with(other, "P-1", bench), at("P-2", "KO", 3, 10)))
        .isEmpty();
  }

  private static Work with(Work w, String pair, FixtureRow fixture) {
    return new Work(
        w.pump(),
        w.minutes(),
        w.cost(),
        w.due(),
        w.kitDay(),
        w.kit(),
        Optional.ofNullable(fixture),
        w.line(),
        pair);
  }

  /** A job of an hour that someone put on a day of this diary. */
  private static DiaryEntryRow at(String pump, String who, int day, int hour) {
    OffsetDateTime from = OffsetDateTime.now(NOW).withHour(hour).plusDays(day);
    return new DiaryEntryRow(pump, who, from, from.plusHours(1), true, "", "MA", from);
  }

  /**
   * What is said when the first is put on day 3 at nine, with RT; empty where it may stand there.
   */
  private String putting(Work w, Work other, DiaryEntryRow pinned) {
    jobs(w, other);
    when(store.entries()).thenReturn(List.of(pinned));
    try {
      diary.pin(new Diary.PinRequest("P-1", 3, 540, "RT"), "MA");
      return "";
    } catch (RequestProblem e) {
      return e.getMessage();
    }
  }

  @Test
  void whatIsPastIsNotShownAnyMore() {
    jobs();
    OffsetDateTime before = OffsetDateTime.now(NOW).minusDays(2);
    when(store.entries())
        .thenReturn(
            List.of(
                new DiaryEntryRow(
                    "P-1", "RT", before, before.plusHours(1), false, "", "MA", before)));
    assertThat(diary.view().entries()).isEmpty();
    assertThat(diary.planned()).isEmpty();
    assertThat(diary.view().planned()).isEmpty();
  }
}
