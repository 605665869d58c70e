package isokinon.server.work.diary;

import isokinon.core.schedule.Slots;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;

/** The diary's days, counted from today, in slots of half an hour from its first midnight. */
record DiaryDays(OffsetDateTime now, ZoneId zone) {

  static final int DAYS = 42;

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.UK);

  static DiaryDays from(Clock clock) {
    return new DiaryDays(OffsetDateTime.now(clock), clock.getZone());
  }

  LocalDate today() {
    return date(now);
  }

  LocalDate date(OffsetDateTime at) {
    return at.atZoneSameInstant(zone).toLocalDate();
  }

  int day(OffsetDateTime at) {
    return (int) ChronoUnit.DAYS.between(today(), date(at));
  }

  int minute(OffsetDateTime at) {
    return at.atZoneSameInstant(zone).toLocalTime().toSecondOfDay() / 60;
  }

  int slot(OffsetDateTime at) {
    return day(at) * Slots.A_DAY + minute(at) / Slots.MINUTES;
  }

  OffsetDateTime at(int slot) {
    return today()
        .plusDays(Math.floorDiv(slot, Slots.A_DAY))
        .atTime(LocalTime.ofSecondOfDay(60L * Slots.MINUTES * Math.floorMod(slot, Slots.A_DAY)))
        .atZone(zone)
        .toOffsetDateTime();
  }

  String say(int slot) {
    return say(at(slot));
  }

  String say(OffsetDateTime at) {
    return WHEN.format(at.atZoneSameInstant(zone));
  }
}
