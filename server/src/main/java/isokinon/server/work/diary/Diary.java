package isokinon.server.work.diary;

import static isokinon.server.work.diary.DiaryDays.DAYS;

import isokinon.core.schedule.Fixture;
import isokinon.core.schedule.Job;
import isokinon.core.schedule.JobPlacer;
import isokinon.core.schedule.Opening;
import isokinon.core.schedule.Placement;
import isokinon.core.schedule.Shift;
import isokinon.core.schedule.Slots;
import isokinon.server.db.diary.DiaryMapper;
import isokinon.server.db.diary.DiaryMapper.DiaryEntryRow;
import isokinon.server.db.diary.DiaryMapper.FixtureRow;
import isokinon.server.db.diary.DiaryMapper.LineStopRow;
import isokinon.server.db.diary.DiaryMapper.PlannedDay;
import isokinon.server.db.diary.DiaryMapper.ShiftRow;
import isokinon.server.work.diary.DiaryView.Entry;
import isokinon.server.work.diary.DiaryView.Hours;
import isokinon.server.work.diary.DiaryView.LineStop;
import isokinon.server.work.diary.DiaryView.PersonHours;
import isokinon.server.work.diary.DiaryView.Unplaced;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.rounds.Rounds;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Six weeks of work: placed by the solver, around what people put somewhere themselves. */
@Service
public class Diary {

  private static final int MOST_BECAUSE = 800;

  /** So many jobs without a place are told one by one, the soonest due first. */
  private static final int MOST_UNPLACED = 60;

  /** A job put somewhere by a person; without a minute it is let go again. */
  public record PinRequest(String pump, Integer day, Integer minute, String person) {}

  private final DiaryMapper store;
  private final WorkList workList;
  private final Rounds rounds;
  private final ShopSettings settings;
  private final JobPlacer placer;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final OneAtATime turn = new OneAtATime();

  /** How the last plan was found; it is not kept over a restart. */
  private volatile Optional<Planned> last = Optional.empty();

  private record Planned(OffsetDateTime at, DiaryView.Search search) {}

  Diary(
      DiaryMapper store,
      WorkList workList,
      Rounds rounds,
      ShopSettings settings,
      PlatformTransactionManager transactions,
      @Value("${isokinon.diary.search:3500ms}") Duration search,
      Clock clock) {
    this.transaction = new TransactionTemplate(transactions);
    this.store = store;
    this.workList = workList;
    this.rounds = rounds;
    this.settings = settings;
    this.placer = new JobPlacer(search, System::nanoTime);
    this.clock = clock;
  }

  // ---- looking --------------------------------------------------------------------------------

  /** The diary as it was planned last. */
  @Transactional(readOnly = true)
  public DiaryView view() {
    DiaryDays days = DiaryDays.from(clock);
    List<DiaryEntryRow> entries = ahead(days).toList();
    return view(entries, workList.within(DAYS, pumps(entries)), openings(days), days);
  }

  private static Set<String> pumps(List<DiaryEntryRow> entries) {
    return entries.stream().map(DiaryEntryRow::pump).collect(Collectors.toSet());
  }

  private DiaryView view(
      List<DiaryEntryRow> entries, List<Work> work, TimeSlots openings, DiaryDays days) {
    Set<String> placed = pumps(entries);
    Map<String, Work> byPump = byPump(work);
    List<Entry> shown =
        entries.stream()
            .filter(e -> byPump.containsKey(e.pump()))
            .map(e -> entry(e, byPump.get(e.pump()), days))
            .toList();
    List<Work> open = work.stream().filter(w -> !placed.contains(w.pump().tag())).toList();
    List<Shift> shifts = openings.shifts();
    Optional<OffsetDateTime> planned =
        entries.stream().map(DiaryEntryRow::plannedAt).max(Comparator.naturalOrder());
    return new DiaryView(
        days.today().toString(),
        DAYS,
        shifts.stream().mapToInt(Shift::fromMinute).min().orElse(360),
        shifts.stream().mapToInt(Shift::toMinute).max().orElse(960),
        hours(openings),
        openings.stops().stream()
            .map(s -> stop(s, days))
            .filter(s -> s.day() >= 0 && s.day() < DAYS)
            .toList(),
        shown,
        entries.isEmpty()
            ? List.of()
            : open.stream().limit(MOST_UNPLACED).map(w -> unplaced(w, openings)).toList(),
        open.size(),
        shown.stream().mapToDouble(Entry::failing).sum(),
        shown.stream().mapToDouble(Entry::wasted).sum(),
        rounds.due(DAYS - 1),
        planned.map(days::say),
        last.filter(p -> planned.filter(p.at()::isEqual).isPresent()).map(Planned::search));
  }

  /** What stands in the diary from today on. */
  private Stream<DiaryEntryRow> ahead(DiaryDays days) {
    return store.entries().stream().filter(e -> days.day(e.endsAt()) >= 0);
  }

  private static Map<String, Work> byPump(List<Work> work) {
    return work.stream()
        .collect(Collectors.toMap(w -> w.pump().tag(), w -> w, (a, b) -> a, LinkedHashMap::new));
  }

  private TimeSlots openings(DiaryDays days) {
    return new TimeSlots(
        days,
        store.shifts().stream().map(ShiftRow::shift).toList(),
        store.stops(),
        store.holidays(),
        settings.overtime() * settings.labourPerHour());
  }

  private static Entry entry(DiaryEntryRow e, Work w, DiaryDays days) {
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

  private static Unplaced unplaced(Work w, TimeSlots openings) {
    return new Unplaced(
        w.pump().tag(), w.pump().dutyTitle(), w.minutes(), w.due().days(), openings.cause(w));
  }

  private static List<PersonHours> hours(TimeSlots openings) {
    return openings.shifts().stream()
        .map(Shift::who)
        .distinct()
        .map(
            who -> {
              List<Hours> hours = new ArrayList<>();
              for (int d = 0; d < DAYS; d++) {
                for (Shift s : openings.on(d)) {
                  if (s.who().equals(who)) {
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

  /**
   * Places every job of the work list again, around those that people put somewhere.
   *
   * @throws RequestProblem where somebody else plans just now
   */
  public DiaryView plan(String who) {
    return turn.alone(
        () -> {
          DiaryDays days = DiaryDays.from(clock);
          List<DiaryEntryRow> pinned = ahead(days).filter(DiaryEntryRow::pinned).toList();
          return place(question(pumps(pinned), days), pinned, who);
        });
  }

  /**
   * Puts a job somewhere, or lets it go, and places the others around it.
   *
   * @throws RequestProblem where it cannot stand there, with the reason, or where somebody else
   *     plans just now
   */
  public DiaryView pin(PinRequest q, String who) {
    return turn.alone(
        () -> {
          DiaryDays days = DiaryDays.from(clock);
          List<DiaryEntryRow> pinned =
              new ArrayList<>(
                  ahead(days)
                      .filter(DiaryEntryRow::pinned)
                      .filter(e -> !e.pump().equals(q.pump()))
                      .toList());
          Set<String> asked = new HashSet<>(pumps(pinned));
          asked.add(q.pump() == null ? "" : q.pump());
          Question question = question(asked, days);
          if (q.minute() != null && q.day() != null) {
            pinned.add(put(q, pinned, question, who));
          }
          return place(question, pinned, who);
        });
  }

  /** What is planned, and within what: read once for a plan. */
  private record Question(Map<String, Work> work, TimeSlots openings, DiaryDays days) {}

  private Question question(Set<String> asked, DiaryDays days) {
    return new Question(byPump(workList.within(DAYS, asked)), openings(days), days);
  }

  private DiaryEntryRow put(
      PinRequest q, List<DiaryEntryRow> others, Question question, String who) {
    Map<String, Work> work = question.work();
    DiaryDays days = question.days();
    TimeSlots openings = question.openings();
    Work w = work.get(q.pump());
    if (w == null) {
      throw RequestProblem.missing("pump", "No job of " + q.pump() + " can be planned now.");
    }
    int minute = Math.round((float) q.minute() / Slots.MINUTES) * Slots.MINUTES;
    int start = q.day() * Slots.A_DAY + minute / Slots.MINUTES;
    Opening opening =
        openings.of(w).stream()
            .filter(o -> o.start() == start)
            .filter(o -> q.person() == null || o.person().equals(q.person()))
            .findFirst()
            .orElseThrow(() -> RequestProblem.notNow("pump", openings.cannot(w, q.day(), minute)));
    DiaryEntryRow row =
        new DiaryEntryRow(
            w.pump().tag(),
            opening.person(),
            days.at(start),
            days.at(start + Slots.of(w.minutes())),
            true,
            "",
            who,
            days.now());
    PinClash.of(row, w, others, work)
        .ifPresent(
            why -> {
              throw RequestProblem.notNow("pump", why);
            });
    return row;
  }

  private DiaryView place(Question question, List<DiaryEntryRow> pinned, String who) {
    DiaryDays days = question.days();
    Map<String, Work> works = question.work();
    Map<String, DiaryEntryRow> byHand =
        pinned.stream().collect(Collectors.toMap(DiaryEntryRow::pump, e -> e));
    List<Job> jobs =
        works.values().stream()
            .map(w -> job(w, question.openings(), byHand.get(w.pump().tag()), days))
            .filter(Job::placeable)
            .toList();
    List<Fixture> fixtures =
        store.fixtures().stream().map(f -> new Fixture(f.id(), f.pieces())).toList();
    Placement plan = placer.place(jobs, fixtures);
    // As the database keeps it, so that the plan that is read is known again.
    OffsetDateTime plannedAt = days.now().truncatedTo(ChronoUnit.MICROS);
    List<DiaryEntryRow> entries =
        jobs.stream()
            .filter(j -> plan.of(j).isPresent())
            .map(
                j -> {
                  Opening there = plan.of(j).get();
                  return new DiaryEntryRow(
                      j.pump(),
                      there.person(),
                      days.at(there.start()),
                      days.at(there.start() + j.slots()),
                      byHand.containsKey(j.pump()),
                      Text.clipped(
                          DiaryText.because(works.get(j.pump()), j, plan, days), MOST_BECAUSE),
                      who,
                      plannedAt);
                })
            .sorted(
                Comparator.comparing(DiaryEntryRow::startsAt).thenComparing(DiaryEntryRow::pump))
            .toList();
    transaction.executeWithoutResult(status -> write(entries, days));
    last = Optional.of(new Planned(plannedAt, search(plan)));
    return view(entries, List.copyOf(works.values()), question.openings(), days);
  }

  private void write(List<DiaryEntryRow> entries, DiaryDays days) {
    store.forgetPlans();
    store.clear();
    if (!entries.isEmpty()) {
      store.add(entries);
      store.plan(
          entries.stream().map(e -> new PlannedDay(e.pump(), days.date(e.startsAt()))).toList());
    }
  }

  private static Job job(Work w, TimeSlots openings, DiaryEntryRow pinned, DiaryDays days) {
    long[] costs = openings.costs(w);
    long dearest = Arrays.stream(costs).max().orElse(0);
    return Job.of(
        w.pump().tag(),
        Slots.of(w.minutes()),
        w.fixture().map(FixtureRow::id).orElse(""),
        w.pair(),
        2 * dearest + 100_000 + Math.round(100 * w.cost().at(DAYS)),
        openings.of(w),
        costs,
        Optional.ofNullable(pinned).map(p -> new Opening(days.slot(p.startsAt()), p.who())));
  }

  private static DiaryView.Search search(Placement plan) {
    return new DiaryView.Search(
        plan.jobs().size(), plan.openings().size(), plan.gap(), plan.tried(), plan.cut());
  }

  /** A job in its place, for a calendar. */
  public record Booked(
      String pump, String who, OffsetDateTime from, OffsetDateTime to, String because) {}

  /** What is planned from today on. */
  @Transactional(readOnly = true)
  public List<Booked> planned() {
    return ahead(DiaryDays.from(clock))
        .map(e -> new Booked(e.pump(), e.who(), e.startsAt(), e.endsAt(), e.because()))
        .toList();
  }
}
