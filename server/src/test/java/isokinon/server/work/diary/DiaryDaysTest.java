package isokinon.server.work.diary;

import static isokinon.server.work.diary.DiaryDays.DAYS;
import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.schedule.Slots;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Slots and days, also over the nights on which clocks change. */
class DiaryDaysTest {

  private static final ZoneId LONDON = ZoneId.of("Europe/London");

  private static DiaryDays from(String instant) {
    return DiaryDays.from(Clock.fixed(Instant.parse(instant), LONDON));
  }

  /** Clocks go on by an hour on 29 March 2026 and back on 25 October 2026. */
  @ParameterizedTest
  @ValueSource(strings = {"2026-03-16T08:00:00Z", "2026-10-12T22:45:00Z", "2026-12-31T23:30:00Z"})
  void aSlotIsTheSameClockTimeOnEveryDay(String now) {
    DiaryDays days = from(now);
    for (int slot = 0; slot < DAYS * Slots.A_DAY; slot++) {
      OffsetDateTime at = days.at(slot);
      assertThat(days.date(at)).isEqualTo(days.today().plusDays(slot / Slots.A_DAY));
      if (!skipped(at, slot)) {
        assertThat(days.slot(at)).isEqualTo(slot);
        assertThat(days.minute(at)).isEqualTo(slot % Slots.A_DAY * Slots.MINUTES);
      }
    }
  }

  /** The hour from one to two of that night is on no clock. */
  private static boolean skipped(OffsetDateTime at, int slot) {
    int ofDay = slot % Slots.A_DAY;
    return at.toLocalDate().equals(LocalDate.of(2026, 3, 29)) && ofDay >= 2 && ofDay < 4;
  }

  @Test
  void todayIsTheShopsOwnDay() {
    DiaryDays late = from("2026-06-30T23:30:00Z");
    assertThat(late.today()).isEqualTo(LocalDate.of(2026, 7, 1));
    assertThat(late.day(OffsetDateTime.parse("2026-06-30T22:30:00Z"))).isEqualTo(-1);
    assertThat(late.say(Slots.A_DAY + 15)).isEqualTo("Thu 2 Jul 07:30");
  }

  @Test
  void aJobTakesWholeSlotsAndAtLeastOne() {
    assertThat(Slots.of(0)).isEqualTo(1);
    assertThat(Slots.of(30)).isEqualTo(1);
    assertThat(Slots.of(30.5)).isEqualTo(2);
    assertThat(Slots.of(87)).isEqualTo(3);
  }
}
