package isokinon.server.work.diary;

import static isokinon.server.work.diary.DiaryDays.DAYS;
import static isokinon.server.work.diary.DiaryDays.DAY_SLOTS;
import static isokinon.server.work.diary.DiaryDays.SLOT;

import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.db.diary.DiaryMapper.ShiftRow;
import isokinon.server.planning.Opening;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.Text;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Where jobs could stand: in a shift, their kit here, their line still; and why one cannot. */
record TimeSlots(DiaryDays days, List<ShiftRow> shifts, List<LineStopRow> stops) {

  /** An hour outside the usual ones costs so much of an hour more (shop rule). */
  private static final double OVERTIME = 0.5;

  /** Everywhere a job could stand, with what it costs there, pence. */
  Map<Opening, Long> of(Work w) {
    Map<Opening, Long> openings = new LinkedHashMap<>();
    int slots = DiaryDays.slots(w.minutes());
    int next = days.slot(days.now()) + 1;
    for (int day = w.kitDay(); day < DAYS; day++) {
      for (ShiftRow s : on(day)) {
        int first = day * DAY_SLOTS + (s.fromMinute() + SLOT - 1) / SLOT;
        int last = day * DAY_SLOTS + s.toMinute() / SLOT - slots;
        for (int start = Math.max(first, next); start <= last; start++) {
          if (still(w, start, start + slots)) {
            double over = s.overtime() ? ShopSettings.labour(w.minutes()) * OVERTIME : 0;
            double cost = w.cost().at((double) start / DAY_SLOTS) + over;
            openings.put(new Opening(start, s.who()), Math.round(100 * cost));
          }
        }
      }
    }
    return openings;
  }

  private List<ShiftRow> on(int day) {
    int weekday = days.weekday(day).getValue();
    return shifts.stream().filter(s -> s.weekday() == weekday).toList();
  }

  private boolean still(Work w, int from, int to) {
    return w.line().isEmpty()
        || stopsOf(w).anyMatch(x -> days.slot(x.startsAt()) <= from && to <= days.slot(x.endsAt()));
  }

  private Stream<LineStopRow> stopsOf(Work w) {
    return stops.stream().filter(s -> s.line().equals(w.line()));
  }

  /** Why a job has no place. */
  String cause(Work w) {
    int longest = shifts.stream().mapToInt(s -> s.toMinute() - s.fromMinute()).max().orElse(0);
    if (shifts.isEmpty()) {
      return "Nobody has hours in the diary.";
    }
    if (DiaryDays.slots(w.minutes()) * SLOT > longest) {
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
    int end = minute + DiaryDays.slots(w.minutes()) * SLOT;
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
