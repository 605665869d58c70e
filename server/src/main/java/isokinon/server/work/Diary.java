package isokinon.server.work;

import static isokinon.server.work.DiaryDays.DAYS;
import static isokinon.server.work.DiaryDays.DAY_SLOTS;
import static isokinon.server.work.DiaryDays.SLOT;

import isokinon.server.access.People;
import isokinon.server.db.DiaryMapper;
import isokinon.server.db.DiaryMapper.EntryRow;
import isokinon.server.db.DiaryMapper.FixtureRow;
import isokinon.server.db.DiaryMapper.LineStopRow;
import isokinon.server.db.DiaryMapper.ShiftRow;
import isokinon.server.planning.Job;
import isokinon.server.planning.JobPlacer;
import isokinon.server.planning.Opening;
import isokinon.server.planning.WorkPlan;
import isokinon.server.work.DiaryView.Entry;
import isokinon.server.work.DiaryView.Hours;
import isokinon.server.work.DiaryView.LineStop;
import isokinon.server.work.DiaryView.PersonHours;
import isokinon.server.work.DiaryView.Unplaced;
import isokinon.server.work.WorkList.Work;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Six weeks of work: placed by the solver, around what people put somewhere themselves. */
@Service
public class Diary {

  private static final int MOST_BECAUSE = 800;

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
    DiaryDays days = DiaryDays.from(clock);
    List<EntryRow> entries = ahead(days).toList();
    Set<String> placed = entries.stream().map(EntryRow::pump).collect(Collectors.toSet());
    List<Work> work = workList.within(DAYS, placed);
    Map<String, Work> byPump = byPump(work);
    List<Entry> shown =
        entries.stream()
            .filter(e -> byPump.containsKey(e.pump()))
            .map(e -> entry(e, byPump.get(e.pump()), days))
            .toList();
    List<Work> open = work.stream().filter(w -> !placed.contains(w.pump().tag())).toList();
    Openings openings = openings(days);
    List<ShiftRow> shifts = openings.shifts();
    return new DiaryView(
        days.today().toString(),
        DAYS,
        shifts.stream().mapToInt(ShiftRow::fromMinute).min().orElse(360),
        shifts.stream().mapToInt(ShiftRow::toMinute).max().orElse(960),
        hours(shifts, days),
        openings.stops().stream()
            .map(s -> stop(s, days))
            .filter(s -> s.day() >= 0 && s.day() < DAYS)
            .toList(),
        shown,
        entries.isEmpty() ? List.of() : open.stream().map(w -> unplaced(w, openings)).toList(),
        open.size(),
        shown.stream().mapToDouble(Entry::failing).sum(),
        shown.stream().mapToDouble(Entry::wasted).sum(),
        entries.stream().map(EntryRow::plannedAt).max(Comparator.naturalOrder()).map(days::say));
  }

  /** What stands in the diary from today on. */
  private Stream<EntryRow> ahead(DiaryDays days) {
    return store.entries().stream().filter(e -> days.day(e.endsAt()) >= 0);
  }

  private static Map<String, Work> byPump(List<Work> work) {
    return work.stream()
        .collect(Collectors.toMap(w -> w.pump().tag(), w -> w, (a, b) -> a, LinkedHashMap::new));
  }

  private Openings openings(DiaryDays days) {
    return new Openings(days, store.shifts(), store.stops());
  }

  private static Entry entry(EntryRow e, Work w, DiaryDays days) {
    int day = days.day(e.startsAt());
    int minute = days.minute(e.startsAt());
    double done = day + minute / 1440.0;
    return new Entry(
        e.pump(),
        w.pump().family(),
        w.pump().dutyTitle(),
        e.who(),
        day,
        minute,
        minute + (int) Duration.between(e.startsAt(), e.endsAt()).toMinutes(),
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

  private static Unplaced unplaced(Work w, Openings openings) {
    return new Unplaced(
        w.pump().tag(), w.pump().dutyTitle(), w.minutes(), w.due().days(), openings.cause(w));
  }

  private static List<PersonHours> hours(List<ShiftRow> shifts, DiaryDays days) {
    return shifts.stream()
        .map(ShiftRow::who)
        .distinct()
        .map(
            who -> {
              List<Hours> hours = new ArrayList<>();
              for (int d = 0; d < DAYS; d++) {
                int weekday = days.weekday(d).getValue();
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

  private static LineStop stop(LineStopRow s, DiaryDays days) {
    int minutes = (int) Duration.between(s.startsAt(), s.endsAt()).toMinutes();
    int from = days.minute(s.startsAt());
    return new LineStop(s.line(), s.title(), days.day(s.startsAt()), from, from + minutes);
  }

  // ---- planning -------------------------------------------------------------------------------

  /** Places every job of the work list again, around those that people put somewhere. */
  @Transactional
  public DiaryView plan(String who) {
    people.known(who);
    DiaryDays days = DiaryDays.from(clock);
    place(ahead(days).filter(EntryRow::pinned).toList(), who, days);
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
    DiaryDays days = DiaryDays.from(clock);
    List<EntryRow> pinned =
        new ArrayList<>(
            ahead(days).filter(EntryRow::pinned).filter(e -> !e.pump().equals(q.pump())).toList());
    if (q.minute() != null && q.day() != null) {
      pinned.add(put(q, pinned, days));
    }
    place(pinned, q.who(), days);
    return view();
  }

  private EntryRow put(PinRequest q, List<EntryRow> others, DiaryDays days) {
    Set<String> asked = others.stream().map(EntryRow::pump).collect(Collectors.toSet());
    asked.add(q.pump() == null ? "" : q.pump());
    Map<String, Work> work = byPump(workList.within(DAYS, asked));
    Work w = work.get(q.pump());
    if (w == null) {
      throw Refused.of(404, "pump", "No job of " + q.pump() + " can be planned now.");
    }
    int minute = Math.round((float) q.minute() / SLOT) * SLOT;
    int start = q.day() * DAY_SLOTS + minute / SLOT;
    Openings openings = openings(days);
    Opening opening =
        openings.of(w).keySet().stream()
            .filter(o -> o.start() == start)
            .filter(o -> q.person() == null || o.person().equals(q.person()))
            .findFirst()
            .orElseThrow(() -> Refused.of(422, "pump", openings.cannot(w, q.day(), minute)));
    EntryRow row =
        new EntryRow(
            w.pump().tag(),
            opening.person(),
            days.at(start),
            days.at(start + DiaryDays.slots(w.minutes())),
            true,
            "",
            q.who(),
            days.now());
    clash(row, w, others, work)
        .ifPresent(
            why -> {
              throw Refused.of(422, "pump", why);
            });
    return row;
  }

  /** What else people put at the same time that does not go with it. */
  private Optional<String> clash(
      EntryRow row, Work w, List<EntryRow> others, Map<String, Work> work) {
    List<EntryRow> meanwhile =
        others.stream()
            .filter(e -> e.startsAt().isBefore(row.endsAt()))
            .filter(e -> row.startsAt().isBefore(e.endsAt()))
            .toList();
    for (EntryRow e : meanwhile) {
      if (e.who().equals(row.who())) {
        return Optional.of(row.who() + " does " + e.pump() + " then, and that one is pinned.");
      }
      Work other = work.get(e.pump());
      boolean pair =
          e.pump().equals(w.pair()) || (other != null && row.pump().equals(other.pair()));
      if (pair) {
        return Optional.of(e.pump() + ", its pair, is pinned then; both must not be out together.");
      }
    }
    return w.fixture()
        .filter(
            f ->
                meanwhile.stream()
                        .map(e -> work.get(e.pump()))
                        .filter(o -> o != null && o.fixture().equals(w.fixture()))
                        .count()
                    >= f.pieces())
        .map(f -> "The " + f.title() + " is taken then by what is pinned.");
  }

  private void place(List<EntryRow> pinned, String who, DiaryDays days) {
    Map<String, EntryRow> byHand =
        pinned.stream().collect(Collectors.toMap(EntryRow::pump, e -> e));
    Map<String, Work> works = byPump(workList.within(DAYS, byHand.keySet()));
    Openings openings = openings(days);
    List<Job> jobs =
        works.values().stream()
            .map(w -> job(w, openings.of(w), byHand.get(w.pump().tag()), days))
            .filter(j -> !j.costs().isEmpty() || byHand.containsKey(j.pump()))
            .toList();
    List<WorkPlan.Fixture> fixtures =
        store.fixtures().stream().map(f -> new WorkPlan.Fixture(f.id(), f.pieces())).toList();
    List<Job> planned = planner.plan(jobs, fixtures).jobs();
    for (EntryRow e : store.entries()) {
      store.clear(e.pump());
      store.plan(e.pump(), null);
    }
    for (Job j : planned) {
      if (j.opening() != null) {
        String because = DiaryWords.because(works.get(j.pump()), j, planned, days);
        store.add(
            new EntryRow(
                j.pump(),
                j.person(),
                days.at(j.opening().start()),
                days.at(j.end()),
                byHand.containsKey(j.pump()),
                Words.clipped(because, MOST_BECAUSE),
                who,
                days.now()));
        store.plan(j.pump(), days.date(days.at(j.opening().start())));
      }
    }
  }

  private static Job job(Work w, Map<Opening, Long> openings, EntryRow pinned, DiaryDays days) {
    long dearest = openings.values().stream().mapToLong(c -> c).max().orElse(0);
    Opening put = pinned == null ? null : new Opening(days.slot(pinned.startsAt()), pinned.who());
    return new Job(
        w.pump().tag(),
        DiaryDays.slots(w.minutes()),
        w.fixture().map(FixtureRow::id).orElse(""),
        w.pair(),
        2 * dearest + 100_000 + Math.round(100 * w.cost().at(DAYS)),
        openings,
        put);
  }

  /** A job in its place, for a calendar. */
  public record Planned(
      String pump, String who, OffsetDateTime from, OffsetDateTime to, String because) {}

  /** What is planned from today on. */
  @Transactional(readOnly = true)
  public List<Planned> planned() {
    return ahead(DiaryDays.from(clock))
        .map(e -> new Planned(e.pump(), e.who(), e.startsAt(), e.endsAt(), e.because()))
        .toList();
  }
}
