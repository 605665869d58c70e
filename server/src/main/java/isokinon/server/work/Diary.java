package isokinon.server.work;

import isokinon.server.access.People;
import isokinon.server.planning.Job;
import isokinon.server.planning.JobPlacer;
import isokinon.server.planning.Opening;
import isokinon.server.planning.WorkPlan;
import isokinon.server.store.DiaryMapper;
import isokinon.server.store.DiaryMapper.EntryRow;
import isokinon.server.store.DiaryMapper.FixtureRow;
import isokinon.server.store.DiaryMapper.LineStopRow;
import isokinon.server.store.DiaryMapper.ShiftRow;
import isokinon.server.work.DiaryView.Entry;
import isokinon.server.work.DiaryView.Hours;
import isokinon.server.work.DiaryView.LineStop;
import isokinon.server.work.DiaryView.PersonHours;
import isokinon.server.work.DiaryView.Unplaced;
import isokinon.server.work.WorkList.Work;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Six weeks of work: placed by the solver, around what people put somewhere themselves. */
@Service
public class Diary {

  static final int DAYS = 42;
  private static final int SLOT = 30;
  private static final int DAY_SLOTS = 24 * 60 / SLOT;

  /** An hour outside the usual ones costs so much of an hour more (shop rule). */
  private static final double OVERTIME = 0.5;

  private static final int MOST_BECAUSE = 800;
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.UK);

  /** A job put somewhere by a person; without a minute it is let go again. */
  public record PinRequest(String pump, Integer day, Integer minute, String person, String who) {}

  private final DiaryMapper store;
  private final WorkList workList;
  private final JobPlacer planner;
  private final People people;
  private final Clock clock;

  Diary(DiaryMapper store, WorkList workList, JobPlacer planner, People people, Clock clock) {
    this.store = store;
    this.workList = workList;
    this.planner = planner;
    this.people = people;
    this.clock = clock;
  }

  // ---- looking --------------------------------------------------------------------------------

  /** The diary as it was planned last. */
  @Transactional(readOnly = true)
  public DiaryView view() {
    List<EntryRow> entries =
        store.entries().stream().filter(e -> !end(e).isBefore(today())).toList();
    Set<String> placed = entries.stream().map(EntryRow::pump).collect(Collectors.toSet());
    List<Work> work = workList.within(DAYS, placed);
    Map<String, Work> byPump = work.stream().collect(Collectors.toMap(w -> w.pump().tag(), w -> w));
    List<Entry> shown =
        entries.stream()
            .filter(e -> byPump.containsKey(e.pump()))
            .map(e -> entry(e, byPump.get(e.pump())))
            .toList();
    List<Work> open = work.stream().filter(w -> !placed.contains(w.pump().tag())).toList();
    List<ShiftRow> shifts = store.shifts();
    return new DiaryView(
        today().toString(),
        DAYS,
        shifts.stream().mapToInt(ShiftRow::fromMinute).min().orElse(360),
        shifts.stream().mapToInt(ShiftRow::toMinute).max().orElse(960),
        hours(shifts),
        store.stops().stream().map(this::stop).filter(s -> s.day() >= 0 && s.day() < DAYS).toList(),
        shown,
        entries.isEmpty() ? List.of() : open.stream().map(w -> unplaced(w, shifts)).toList(),
        open.size(),
        shown.stream().mapToDouble(Entry::failing).sum(),
        shown.stream().mapToDouble(Entry::wasted).sum(),
        entries.stream()
            .map(EntryRow::plannedAt)
            .max(Comparator.naturalOrder())
            .map(at -> WHEN.format(at.atZoneSameInstant(clock.getZone()))));
  }

  private Entry entry(EntryRow e, Work w) {
    int day = day(e.startsAt());
    double done = day + minute(e.startsAt()) / 1440.0;
    return new Entry(
        e.pump(),
        w.pump().family(),
        w.pump().dutyTitle(),
        e.who(),
        day,
        minute(e.startsAt()),
        minute(e.startsAt()) + (int) Duration.between(e.startsAt(), e.endsAt()).toMinutes(),
        e.pinned(),
        w.due().days(),
        w.cost().risk(done),
        w.cost().ofFailing(done),
        w.cost().ofWaste(done),
        w.fixture().map(FixtureRow::title).orElse(""),
        w.line(),
        w.pair(),
        e.because());
  }

  private List<PersonHours> hours(List<ShiftRow> shifts) {
    return shifts.stream()
        .map(ShiftRow::who)
        .distinct()
        .map(
            who -> {
              List<Hours> hours = new ArrayList<>();
              for (int d = 0; d < DAYS; d++) {
                int weekday = today().plusDays(d).getDayOfWeek().getValue();
                for (ShiftRow s : shifts) {
                  if (s.who().equals(who) && s.weekday() == weekday) {
                    hours.add(new Hours(d, s.fromMinute(), s.toMinute(), s.overtime()));
                  }
                }
              }
              return new PersonHours(who, hours);
            })
        .toList();
  }

  private LineStop stop(LineStopRow s) {
    int minutes = (int) Duration.between(s.startsAt(), s.endsAt()).toMinutes();
    int from = minute(s.startsAt());
    return new LineStop(s.line(), s.title(), day(s.startsAt()), from, from + minutes);
  }

  // ---- planning -------------------------------------------------------------------------------

  /** Places every job of the work list again, around those that people put somewhere. */
  @Transactional
  public DiaryView plan(String who) {
    people.known(who);
    List<EntryRow> pinned =
        store.entries().stream().filter(EntryRow::pinned).filter(this::ahead).toList();
    place(pinned, who);
    return view();
  }

  /**
   * Puts a job somewhere, or lets it go, and places the others around it.
   *
   * @throws Refused where it cannot stand there, with the reason
   */
  @Transactional
  public DiaryView pin(PinRequest q) {
    people.known(q.who() == null ? "" : q.who());
    List<EntryRow> pinned =
        new ArrayList<>(
            store.entries().stream()
                .filter(EntryRow::pinned)
                .filter(e -> !e.pump().equals(q.pump()))
                .filter(this::ahead)
                .toList());
    if (q.minute() != null && q.day() != null) {
      Work work =
          workList.within(DAYS, Set.of(q.pump() == null ? "" : q.pump())).stream()
              .filter(w -> w.pump().tag().equals(q.pump()))
              .findFirst()
              .orElseThrow(
                  () -> Refused.of(404, "pump", "No job of " + q.pump() + " can be planned now."));
      pinned.add(put(work, q, pinned));
    }
    place(pinned, q.who());
    return view();
  }

  private EntryRow put(Work w, PinRequest q, List<EntryRow> others) {
    int minute = Math.round((float) q.minute() / SLOT) * SLOT;
    int start = q.day() * DAY_SLOTS + minute / SLOT;
    List<ShiftRow> shifts = store.shifts();
    Map<Opening, Long> openings = openings(w, shifts);
    Opening opening =
        openings.keySet().stream()
            .filter(o -> o.start() == start)
            .filter(o -> q.person() == null || o.person().equals(q.person()))
            .findFirst()
            .orElseThrow(() -> Refused.of(422, "pump", cannot(w, q.day(), minute, shifts)));
    OffsetDateTime from = at(start);
    OffsetDateTime to = at(start + slots(w));
    others.stream()
        .filter(e -> e.who().equals(opening.person()))
        .filter(e -> e.startsAt().isBefore(to) && from.isBefore(e.endsAt()))
        .findFirst()
        .ifPresent(
            e -> {
              throw Refused.of(
                  422,
                  "pump",
                  opening.person() + " does " + e.pump() + " then, and that one is pinned.");
            });
    return new EntryRow(
        w.pump().tag(), opening.person(), from, to, true, "", q.who(), OffsetDateTime.now(clock));
  }

  private void place(List<EntryRow> pinned, String who) {
    Map<String, EntryRow> byPump =
        pinned.stream().collect(Collectors.toMap(EntryRow::pump, e -> e));
    List<Work> work = workList.within(DAYS, byPump.keySet());
    List<ShiftRow> shifts = store.shifts();
    Map<String, Map<Opening, Long>> openings =
        work.stream().collect(Collectors.toMap(w -> w.pump().tag(), w -> openings(w, shifts)));
    List<Job> jobs =
        work.stream()
            .filter(
                w -> !openings.get(w.pump().tag()).isEmpty() || byPump.containsKey(w.pump().tag()))
            .map(w -> job(w, openings.get(w.pump().tag()), byPump.get(w.pump().tag())))
            .toList();
    List<WorkPlan.Fixture> fixtures =
        store.fixtures().stream().map(f -> new WorkPlan.Fixture(f.id(), f.pieces())).toList();
    List<Job> planned = planner.plan(jobs, fixtures).jobs();
    OffsetDateTime now = OffsetDateTime.now(clock);
    for (EntryRow e : store.entries()) {
      store.clear(e.pump());
      store.plan(e.pump(), null);
    }
    Map<String, Work> works = work.stream().collect(Collectors.toMap(w -> w.pump().tag(), w -> w));
    for (Job j : planned) {
      if (j.opening() != null) {
        Work w = works.get(j.pump());
        store.add(
            new EntryRow(
                j.pump(),
                j.person(),
                at(j.opening().start()),
                at(j.end()),
                byPump.containsKey(j.pump()),
                Words.clipped(because(w, j, planned), MOST_BECAUSE),
                who,
                now));
        store.plan(j.pump(), at(j.opening().start()).toLocalDate());
      }
    }
  }

  private Job job(Work w, Map<Opening, Long> openings, EntryRow pinned) {
    long dearest = openings.values().stream().mapToLong(c -> c).max().orElse(0);
    Opening put = pinned == null ? null : new Opening(slot(pinned.startsAt()), pinned.who());
    return new Job(
        w.pump().tag(),
        slots(w),
        w.fixture().map(FixtureRow::id).orElse(""),
        w.pair(),
        2 * dearest + 100_000 + Math.round(100 * w.cost().at(DAYS)),
        openings,
        put);
  }

  /** Everywhere a job could stand: in a shift, its kit here, its line still. */
  private Map<Opening, Long> openings(Work w, List<ShiftRow> shifts) {
    Map<Opening, Long> openings = new LinkedHashMap<>();
    int slots = slots(w);
    int now = slot(OffsetDateTime.now(clock)) + 1;
    List<LineStopRow> stops =
        store.stops().stream().filter(s -> s.line().equals(w.line())).toList();
    for (int day = w.kitDay(); day < DAYS; day++) {
      int weekday = today().plusDays(day).getDayOfWeek().getValue();
      for (ShiftRow s : shifts) {
        if (s.weekday() != weekday) {
          continue;
        }
        int first = day * DAY_SLOTS + (s.fromMinute() + SLOT - 1) / SLOT;
        int last = day * DAY_SLOTS + s.toMinute() / SLOT - slots;
        for (int start = Math.max(first, now); start <= last; start++) {
          int from = start;
          boolean still =
              w.line().isEmpty()
                  || stops.stream()
                      .anyMatch(
                          x -> slot(x.startsAt()) <= from && from + slots <= slot(x.endsAt()));
          if (still) {
            double days = (double) start / DAY_SLOTS;
            double over = s.overtime() ? Renewals.labour(w.minutes()) * OVERTIME : 0;
            openings.put(new Opening(start, s.who()), Math.round(100 * (w.cost().at(days) + over)));
          }
        }
      }
    }
    return openings;
  }

  // ---- saying why -----------------------------------------------------------------------------

  private String because(Work w, Job j, List<Job> all) {
    double days = (double) j.opening().start() / DAY_SLOTS;
    StringBuilder say = new StringBuilder();
    say.append(due(w)).append(' ');
    say.append(
        String.format(
            Locale.ROOT,
            "%s %% chance of failing before it is done, £%d expected; £%d of the set wasted. ",
            percent(w.cost().risk(days)),
            Math.round(w.cost().ofFailing(days)),
            Math.round(w.cost().ofWaste(days))));
    say.append(w.kit()).append(' ');
    if (!w.line().isEmpty()) {
      say.append("Only while ").append(w.line()).append(" stands still. ");
    }
    if (!j.costs().containsKey(j.opening())) {
      return say.append("Put here by hand.").toString();
    }
    Map.Entry<Opening, Long> cheapest =
        j.costs().entrySet().stream().min(Map.Entry.comparingByValue()).orElseThrow();
    if (cheapest.getValue() < j.cost()) {
      say.append("Its cheapest time, ")
          .append(when(cheapest.getKey().start()))
          .append(", is taken: ")
          .append(taken(w, j, cheapest.getKey(), all))
          .append('.');
    } else {
      say.append("No free time costs less.");
    }
    return say.toString();
  }

  private static String percent(double risk) {
    return risk > 0 && risk < 0.01 ? "Under 1" : String.valueOf(Math.round(100 * risk));
  }

  private static String taken(Work w, Job j, Opening there, List<Job> all) {
    Job moved = new Job(j.pump(), j.slots(), j.fixture(), j.pair(), 0, Map.of(), there);
    return all.stream()
        .filter(x -> x.opening() != null && !x.pump().equals(j.pump()))
        .filter(x -> x.shared(moved) > 0)
        .flatMap(
            x ->
                x.person().equals(there.person())
                    ? Stream.of(there.person() + " does " + x.pump())
                    : !x.fixture().isEmpty() && x.fixture().equals(j.fixture())
                        ? Stream.of(x.pump() + " has the " + w.fixture().orElseThrow().title())
                        : x.pump().equals(j.pair())
                            ? Stream.of(x.pump() + " is out, its pair")
                            : Stream.empty())
        .findFirst()
        .orElse("another job before it leaves no room");
  }

  private static String due(Work w) {
    long days = Math.round(w.due().days());
    if (days > DAYS) {
      return "Not due for " + Words.count(days, "day") + ", but likely to fail before.";
    }
    return days < 0
        ? "It is " + Words.count(-days, "day") + " past its due day."
        : "Due in " + Words.count(days, "day") + ".";
  }

  private Unplaced unplaced(Work w, List<ShiftRow> shifts) {
    return new Unplaced(
        w.pump().tag(), w.pump().dutyTitle(), w.minutes(), w.due().days(), cause(w, shifts));
  }

  /** Why a job has no place. */
  private String cause(Work w, List<ShiftRow> shifts) {
    int longest = shifts.stream().mapToInt(s -> s.toMinute() - s.fromMinute()).max().orElse(0);
    if (shifts.isEmpty()) {
      return "Nobody has hours in the diary.";
    }
    if (slots(w) * SLOT > longest) {
      return "It takes "
          + Words.plain(Math.round(w.minutes()))
          + " min, and no shift is that long.";
    }
    if (w.kitDay() >= DAYS) {
      return w.kit() + " That is beyond these six weeks.";
    }
    if (!openings(w, shifts).isEmpty()) {
      return "Others that cost more to put off take every time it could have.";
    }
    if (!w.line().isEmpty()) {
      return w.line()
          + " does not stand still long enough in these six weeks while somebody works"
          + (w.kitDay() > 0 ? " and its kit is here." : ".");
    }
    return "No shift is left once its kit is here. " + w.kit();
  }

  /** Why a job cannot stand at a time. */
  private String cannot(Work w, int day, int minute, List<ShiftRow> shifts) {
    String tag = w.pump().tag();
    if (day < w.kitDay()) {
      return tag + " cannot be done then. " + w.kit();
    }
    int weekday = today().plusDays(day).getDayOfWeek().getValue();
    boolean works =
        shifts.stream()
            .anyMatch(
                s ->
                    s.weekday() == weekday
                        && s.fromMinute() <= minute
                        && minute + slots(w) * SLOT <= s.toMinute());
    if (!works) {
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

  // ---- days and slots -------------------------------------------------------------------------

  private LocalDate today() {
    return LocalDate.now(clock);
  }

  private static int slots(Work w) {
    return Math.max(1, (int) Math.ceil(w.minutes() / SLOT));
  }

  private int day(OffsetDateTime at) {
    return (int)
        ChronoUnit.DAYS.between(today(), at.atZoneSameInstant(clock.getZone()).toLocalDate());
  }

  private int minute(OffsetDateTime at) {
    return at.atZoneSameInstant(clock.getZone()).toLocalTime().toSecondOfDay() / 60;
  }

  private int slot(OffsetDateTime at) {
    return day(at) * DAY_SLOTS + minute(at) / SLOT;
  }

  private OffsetDateTime at(int slot) {
    return today()
        .plusDays(Math.floorDiv(slot, DAY_SLOTS))
        .atTime(LocalTime.ofSecondOfDay(Math.floorMod(slot, DAY_SLOTS) * SLOT * 60L))
        .atZone(clock.getZone())
        .toOffsetDateTime();
  }

  private String when(int slot) {
    return WHEN.format(at(slot));
  }

  private boolean ahead(EntryRow e) {
    return !end(e).isBefore(today());
  }

  private LocalDate end(EntryRow e) {
    return e.endsAt().atZoneSameInstant(clock.getZone()).toLocalDate();
  }

  /** A job in its place, for a calendar. */
  public record Planned(
      String pump, String who, OffsetDateTime from, OffsetDateTime to, String because) {}

  /** What is planned from today on. */
  @Transactional(readOnly = true)
  public List<Planned> planned() {
    return store.entries().stream()
        .filter(this::ahead)
        .map(e -> new Planned(e.pump(), e.who(), e.startsAt(), e.endsAt(), e.because()))
        .toList();
  }
}
