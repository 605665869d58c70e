package isokinon.server.work.diary;

import java.time.Clock;
import java.time.DayOfWeek;
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
  static final int SLOT = 30;
  static final int DAY_SLOTS = 24 * 60 / SLOT;

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.UK);

  static DiaryDays from(Clock clock) {
    return new DiaryDays(OffsetDateTime.now(clock), clock.getZone());
  }

  /** Slots that so many minutes take. */
  static int slots(double minutes) {
    return Math.max(1, (int) Math.ceil(minutes / SLOT));
  }

  LocalDate today() {
    return date(now);
  }

  LocalDate date(OffsetDateTime at) {
    return at.atZoneSameInstant(zone).toLocalDate();
  }

  DayOfWeek weekday(int day) {
    return today().plusDays(day).getDayOfWeek();
  }

  int day(OffsetDateTime at) {
    return (int) ChronoUnit.DAYS.between(today(), date(at));
  }

  int minute(OffsetDateTime at) {
    return at.atZoneSameInstant(zone).toLocalTime().toSecondOfDay() / 60;
  }

  int slot(OffsetDateTime at) {
    return day(at) * DAY_SLOTS + minute(at) / SLOT;
  }

  OffsetDateTime at(int slot) {
    return today()
        .plusDays(Math.floorDiv(slot, DAY_SLOTS))
        .atTime(LocalTime.ofSecondOfDay(60L * SLOT * Math.floorMod(slot, DAY_SLOTS)))
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
