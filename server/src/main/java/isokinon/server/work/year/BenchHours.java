package isokinon.server.work.year;

import isokinon.core.schedule.Shift;
import isokinon.core.schedule.Slots;
import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearShop.Stretch;
import isokinon.core.year.YearShop.Window;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.db.diary.DiaryMapper.ShiftRow;
import isokinon.server.work.shared.ShopSettings;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Who is at the bench on each day of the year ahead, and when the lines stand still. */
@Component
class BenchHours {

  private static final Window ALL_DAY = new Window(0, Slots.A_DAY);

  private final DiaryMapper diary;
  private final ShopSettings settings;

  BenchHours(DiaryMapper diary, ShopSettings settings) {
    this.diary = diary;
    this.settings = settings;
  }

  /** What an hour outside the usual ones costs more, pounds. */
  double overtimePerHour() {
    return settings.overtime() * settings.labourPerHour();
  }

  List<List<Stretch>> days(LocalDate from, PeopleLevel people) {
    List<Shift> shifts = with(people, diary.shifts().stream().map(ShiftRow::shift).toList());
    Set<LocalDate> off = Set.copyOf(diary.holidays());
    return IntStream.range(0, YearOutcome.DAYS)
        .mapToObj(
            d ->
                Shift.on(from.plusDays(d), shifts, off).stream()
                    .map(
                        s ->
                            new Stretch(
                                Slots.from(s.fromMinute()), Slots.to(s.toMinute()), s.overtime()))
                    .toList())
        .toList();
  }

  private static List<Shift> with(PeopleLevel people, List<Shift> shifts) {
    Map<String, Integer> minutes =
        shifts.stream()
            .filter(s -> !s.overtime())
            .collect(
                Collectors.groupingBy(
                    Shift::who, Collectors.summingInt(s -> s.toMinute() - s.fromMinute())));
    Comparator<Map.Entry<String, Integer>> byHours =
        Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey());
    List<Shift> changed = new ArrayList<>(shifts);
    switch (people) {
      case AS_THEY_ARE -> {}
      case ONE_MORE ->
          minutes.entrySet().stream()
              .max(byHours)
              .ifPresent(
                  most ->
                      shifts.stream()
                          .filter(s -> s.who().equals(most.getKey()) && !s.overtime())
                          .forEach(changed::add));
      case ONE_LESS ->
          minutes.entrySet().stream()
              .min(byHours)
              .ifPresent(fewest -> changed.removeIf(s -> s.who().equals(fewest.getKey())));
    }
    return changed;
  }

  /**
   * When each line stands still. Beyond the stops that are written down it stands still as often as
   * they say, each time as long as the last; one with fewer than two of them is taken to stand
   * still when it is asked to.
   */
  List<List<Window>> still(List<String> lines, LocalDate from, ZoneId zone) {
    Map<String, List<LineStopRow>> stops =
        diary.stops().stream().collect(Collectors.groupingBy(LineStopRow::line));
    return lines.stream().map(l -> windows(stops.getOrDefault(l, List.of()), from, zone)).toList();
  }

  private static List<Window> windows(List<LineStopRow> stops, LocalDate from, ZoneId zone) {
    if (stops.size() < 2) {
      return Collections.nCopies(YearOutcome.DAYS, ALL_DAY);
    }
    List<Window> days = new ArrayList<>(Collections.nCopies(YearOutcome.DAYS, Window.NEVER));
    LocalDate first = day(stops.get(0), zone);
    LineStopRow lastStop = stops.get(stops.size() - 1);
    LocalDate last = day(lastStop, zone);
    stops.forEach(s -> put(days, from, day(s, zone), window(s, zone)));
    long apart = Math.round((double) ChronoUnit.DAYS.between(first, last) / (stops.size() - 1));
    Optional<LocalDate> next = Optional.of(last.plusDays(Math.max(1, apart)));
    LocalDate end = from.plusDays(YearOutcome.DAYS);
    while (next.filter(n -> n.isBefore(end)).isPresent()) {
      put(days, from, next.get(), window(lastStop, zone));
      next = next.map(n -> n.plusDays(Math.max(1, apart)));
    }
    return days;
  }

  private static void put(List<Window> days, LocalDate from, LocalDate day, Window window) {
    long at = ChronoUnit.DAYS.between(from, day);
    if (at >= 0 && at < days.size()) {
      days.set((int) at, window);
    }
  }

  private static LocalDate day(LineStopRow s, ZoneId zone) {
    return s.startsAt().atZoneSameInstant(zone).toLocalDate();
  }

  private static Window window(LineStopRow s, ZoneId zone) {
    LocalTime starts = s.startsAt().atZoneSameInstant(zone).toLocalTime();
    int from = starts.toSecondOfDay() / 60;
    int to = from + (int) Duration.between(s.startsAt(), s.endsAt()).toMinutes();
    return new Window(Slots.from(from), Math.min(Slots.A_DAY, Slots.to(to)));
  }
}
