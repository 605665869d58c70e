package isokinon.server.work.diary;

import static isokinon.server.work.diary.DiaryDays.DAYS;

import isokinon.core.schedule.Opening;
import isokinon.core.schedule.Shift;
import isokinon.core.schedule.Slots;
import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/** Where jobs could stand: in a shift, their kit here, their line still; and why one cannot. */
final class TimeSlots {

  private final DiaryDays days;
  private final List<Shift> shifts;
  private final List<LineStopRow> stops;
  private final Set<LocalDate> off;
  private final double overtimePerHour;
  private final Map<Like, Places> known = new HashMap<>();

  /** Jobs that are alike in these may stand in the same places. */
  private record Like(int slots, int kitDay, String line) {}

  /** Places in the order of time, and which of them are outside the usual hours. */
  private record Places(List<Opening> openings, List<Boolean> overtime) {}

  /**
   * Places by these shifts and stops.
   *
   * @param off days on which nobody is at the bench
   * @param overtimePerHour what an hour outside the usual ones costs more, pounds
   */
  TimeSlots(
      DiaryDays days,
      List<Shift> shifts,
      List<LineStopRow> stops,
      List<LocalDate> off,
      double overtimePerHour) {
    this.overtimePerHour = overtimePerHour;
    this.off = Set.copyOf(off);
    this.days = days;
    this.shifts = shifts;
    this.stops = stops;
  }

  List<Shift> shifts() {
    return shifts;
  }

  List<LineStopRow> stops() {
    return stops;
  }

  /** Everywhere a job could stand, in the order of time. */
  List<Opening> of(Work w) {
    return places(w).openings();
  }

  /** What a job costs in each of the places it could stand in, pence. */
  long[] costs(Work w) {
    Places places = places(w);
    double over = w.minutes() / 60 * overtimePerHour;
    long[] costs = new long[places.openings().size()];
    int start = -1;
    double then = 0;
    for (int i = 0; i < costs.length; i++) {
      if (places.openings().get(i).start() != start) {
        start = places.openings().get(i).start();
        then = w.cost().at((double) start / Slots.A_DAY);
      }
      costs[i] = Math.round(100 * (then + (places.overtime().get(i) ? over : 0)));
    }
    return costs;
  }

  private Places places(Work w) {
    Like like = new Like(Slots.of(w.minutes()), w.kitDay(), w.line());
    return known.computeIfAbsent(like, this::places);
  }

  private Places places(Like like) {
    int next = days.slot(days.now()) + 1;
    TreeMap<Opening, Boolean> places =
        new TreeMap<>(Comparator.comparingInt(Opening::start).thenComparing(Opening::person));
    for (int day = like.kitDay(); day < DAYS; day++) {
      for (Shift s : on(day)) {
        int first = day * Slots.A_DAY + Slots.from(s.fromMinute());
        int last = day * Slots.A_DAY + Slots.to(s.toMinute()) - like.slots();
        for (int start = Math.max(first, next); start <= last; start++) {
          if (still(like.line(), start, start + like.slots())) {
            places.merge(new Opening(start, s.who()), s.overtime(), (a, b) -> a && b);
          }
        }
      }
    }
    return new Places(List.copyOf(places.keySet()), List.copyOf(places.values()));
  }

  /** The shifts of a day; none on a day off. */
  List<Shift> on(int day) {
    return Shift.on(days.today().plusDays(day), shifts, off);
  }

  private boolean still(String line, int from, int to) {
    return line.isEmpty()
        || stopsOf(line)
            .anyMatch(x -> days.slot(x.startsAt()) <= from && to <= days.slot(x.endsAt()));
  }

  private Stream<LineStopRow> stopsOf(String line) {
    return stops.stream().filter(s -> s.line().equals(line));
  }

  /** Why a job has no place. */
  String cause(Work w) {
    int longest = shifts.stream().mapToInt(s -> s.toMinute() - s.fromMinute()).max().orElse(0);
    if (shifts.isEmpty()) {
      return "Nobody has hours in the diary.";
    }
    if (Slots.of(w.minutes()) * Slots.MINUTES > longest) {
      return "It takes " + Text.plain(Math.round(w.minutes())) + " min, and no shift is that long.";
    }
    if (w.kitDay() >= DAYS) {
      return w.kit() + " That is beyond these six weeks.";
    }
    if (!of(w).isEmpty()) {
      return "Others that cost more to put off take every time it could have.";
    }
    if (!w.line().isEmpty()) {
      return w.line()
          + " does not stand still long enough in these six weeks while somebody works"
          + (w.kitDay() > 0 ? " and its kit is here." : ".");
    }
    return "No shift is left once its kit is here. " + w.kit();
  }

  /** Why a job cannot begin at a minute of a day. */
  String cannot(Work w, int day, int minute) {
    String tag = w.pump().tag();
    if (day >= DAYS) {
      return "The diary ends before that: it holds six weeks.";
    }
    if (day < w.kitDay()) {
      return tag + " cannot be done then. " + w.kit();
    }
    int end = minute + Slots.of(w.minutes()) * Slots.MINUTES;
    if (on(day).stream().noneMatch(s -> s.fromMinute() <= minute && end <= s.toMinute())) {
      return "Nobody is there for the "
          + Math.round(w.minutes())
          + " min that "
          + tag
          + " takes from then on.";
    }
    return w.line().isEmpty()
        ? tag + " cannot start in the past."
        : tag + " can be taken down only while " + w.line() + " stands still.";
  }
}
