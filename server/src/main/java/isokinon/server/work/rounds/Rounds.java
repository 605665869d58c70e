package isokinon.server.work.rounds;

import isokinon.core.sheet.Following;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Round;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Fault;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.ReadingRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rounds.RoundDoneRow;
import isokinon.server.db.rounds.RoundMapper;
import isokinon.server.work.bench.TypedReading;
import isokinon.server.work.instruments.Readings;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rounds.RoundRequest.TypedAnswer;
import isokinon.server.work.rounds.RoundView.MadeSafe;
import isokinon.server.work.rounds.RoundView.RoundCheck;
import isokinon.server.work.shared.CachedByKey;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Upkeep that comes round: which is due, and doing it with its checks and readings. */
@Service
public class Rounds {

  /** What readings of a round are kept under, before the id of the round. */
  private static final String SUBJECT = "round:";

  private final RoundMapper store;
  private final FindingMapper findings;
  private final PumpRegister pumps;
  private final LifeService lives;
  private final Sheets sheets;
  private final Clock clock;

  /** A sheet as pumps with this material follow it: the floor asks for those of every pump. */
  private final CachedByKey<Followed, Sheet> followed;

  private record Followed(String sheet, int revision, String material) {}

  Rounds(
      RoundMapper store,
      FindingMapper findings,
      PumpRegister pumps,
      LifeService lives,
      Sheets sheets,
      DataVersions versions,
      Clock clock) {
    this.store = store;
    this.findings = findings;
    this.pumps = pumps;
    this.lives = lives;
    this.sheets = sheets;
    this.clock = clock;
    this.followed = new CachedByKey<>(versions, EnumSet.of(Topic.SHEETS));
  }

  /**
   * The rounds of a pump, what is due first, each with what was read last.
   *
   * @throws RequestProblem where no pump has this tag
   */
  @Transactional(readOnly = true)
  public List<RoundView> of(String tag) {
    pumps.asRead(tag);
    LifeSnapshot.PumpInService pump = lives.now().standing(tag);
    return inOrder(rounds(pump, last(), lastReadings(tag)));
  }

  /** Rounds of the whole floor that are due within so many days, what is over first. */
  @Transactional(readOnly = true)
  public List<RoundView> due(int withinDays) {
    Map<String, RoundDoneRow> last = last();
    return inOrder(
        lives.now().all().stream()
            .flatMap(p -> rounds(p, last, Map.of()))
            .filter(r -> r.dueDays().filter(d -> d <= withinDays).isPresent()));
  }

  /**
   * A round is done: its readings are kept, and it is due again from today.
   *
   * @throws RequestProblem where the pump has no such round, or a check is open and no note says
   *     why
   */
  @Transactional
  public List<RoundView> done(String tag, String id, RoundRequest asked, String who) {
    PumpRow pump = pumps.lock(tag);
    if (store.withKey(asked.key()) > 0) {
      return of(tag);
    }
    Round round =
        sheet(pump).stream()
            .flatMap(s -> s.rounds().stream())
            .filter(r -> r.id().equals(id))
            .findFirst()
            .orElseThrow(() -> RequestProblem.missing(tag + " has no round called " + id + "."));
    OffsetDateTime now = OffsetDateTime.now(clock);
    String note = given(asked.note()).strip();
    Map<String, TypedAnswer> answers = answers(asked);
    List<ReadingRow> read = new ArrayList<>();
    for (Handling.Check check : round.checks()) {
      typed(answers, check)
          .ifPresent(
              t ->
                  read.add(
                      new ReadingRow(
                          tag,
                          SUBJECT + id,
                          check.id(),
                          check.unit(),
                          Readings.parse(t.typed(), given(t.unit()), check.unit(), check.id()),
                          now,
                          pump.runningHours(),
                          who,
                          given(t.gauge()),
                          false,
                          null,
                          false)));
    }
    refuseOpen(round, answers, note);
    read.forEach(findings::addReading);
    store.add(new RoundDoneRow(tag, id, now, pump.runningHours(), who, note, asked.key()));
    return of(tag);
  }

  private static Map<String, TypedAnswer> answers(RoundRequest asked) {
    return Optional.ofNullable(asked.answers()).orElse(List.of()).stream()
        .collect(Collectors.toMap(TypedAnswer::check, Function.identity(), (a, b) -> b));
  }

  /** Every check is answered, or the note says why not. */
  private static void refuseOpen(Round round, Map<String, TypedAnswer> answers, String note) {
    List<Fault> open = new ArrayList<>();
    for (Handling.Check check : round.checks()) {
      boolean answered =
          check.kind() == Handling.Answer.NUMBER
              ? typed(answers, check).isPresent()
              : answers.containsKey(check.id());
      if (!answered && (check.hold() || note.isBlank())) {
        open.add(
            new Fault(
                check.id(),
                check.hold()
                    ? "This cannot be left: " + check.ask() + "."
                    : "Answer it, or say in the note why it is left: " + check.ask() + "."));
      }
    }
    if (!open.isEmpty()) {
      throw RequestProblem.notNow(open);
    }
  }

  /** What was typed at a check that asks for a number; empty where nothing was. */
  private static Optional<TypedReading> typed(
      Map<String, TypedAnswer> answers, Handling.Check check) {
    return Optional.ofNullable(answers.get(check.id()))
        .map(TypedAnswer::reading)
        .filter(r -> check.kind() == Handling.Answer.NUMBER && !given(r.typed()).isBlank());
  }

  private static String given(String text) {
    return text == null ? "" : text;
  }

  private Map<String, RoundDoneRow> last() {
    return store.last().stream().collect(Collectors.toMap(r -> key(r.pump(), r.round()), r -> r));
  }

  private static String key(String one, String other) {
    return one + "/" + other;
  }

  private Optional<Sheet> sheet(PumpRow pump) {
    return pump.sheet()
        .flatMap(sheets::find)
        .map(
            s ->
                followed.get(
                    new Followed(s.id(), s.revision(), pump.material()),
                    f -> s.by(new Following(List.of(), f.material(), f.material()))));
  }

  /** What was read last at each check of a round, by round and check. */
  private Map<String, Double> lastReadings(String tag) {
    return findings.readings(tag).stream()
        .filter(r -> r.subject().startsWith(SUBJECT))
        .collect(
            Collectors.toMap(
                r -> key(r.subject().substring(SUBJECT.length()), r.measure()),
                ReadingRow::reading,
                (a, b) -> b));
  }

  private Stream<RoundView> rounds(
      LifeSnapshot.PumpInService standing,
      Map<String, RoundDoneRow> last,
      Map<String, Double> read) {
    PumpRow pump = standing.pump();
    return sheet(pump).stream()
        .flatMap(
            s ->
                s.rounds().stream()
                    .map(
                        r ->
                            view(
                                standing,
                                s,
                                r,
                                Optional.ofNullable(last.get(key(pump.tag(), r.id()))),
                                read)));
  }

  private RoundView view(
      LifeSnapshot.PumpInService standing,
      Sheet sheet,
      Round round,
      Optional<RoundDoneRow> done,
      Map<String, Double> read) {
    PumpRow pump = standing.pump();
    LocalDate today = LocalDate.now(clock);
    return new RoundView(
        pump.tag(),
        round.id(),
        round.title(),
        round.say(),
        every(round),
        round.minutes(),
        done.map(d -> Text.day(day(d))),
        done.map(RoundDoneRow::who).orElse(""),
        done.map(RoundDoneRow::note).orElse(""),
        done.flatMap(
                d ->
                    round.due(
                        day(d), d.hours(), pump.runningHours(), standing.usage().perDay(), today))
            .map(due -> ChronoUnit.DAYS.between(today, due)),
        round.hazards().stream()
            .flatMap(h -> sheet.hazard(h).stream())
            .map(h -> new MadeSafe(h.title(), h.act()))
            .toList(),
        round.cautions(),
        round.checks().stream()
            .map(
                c ->
                    new RoundCheck(
                        c.id(),
                        c.ask(),
                        c.kind(),
                        c.unit(),
                        c.min(),
                        c.max(),
                        c.hold(),
                        Optional.ofNullable(read.get(key(round.id(), c.id())))))
            .toList());
  }

  private LocalDate day(RoundDoneRow done) {
    return done.doneAt().atZoneSameInstant(clock.getZone()).toLocalDate();
  }

  private static String every(Round round) {
    String days =
        round.everyDays() == 1
            ? "day"
            : round.everyDays() > 0 ? Text.plain(round.everyDays()) + " days" : "";
    String hours = round.everyHours() > 0 ? Text.plain(round.everyHours()) + " h" : "";
    return "every "
        + Stream.of(days, hours).filter(s -> !s.isEmpty()).collect(Collectors.joining(" or "));
  }

  private static List<RoundView> inOrder(Stream<RoundView> rounds) {
    return rounds
        .sorted(
            Comparator.comparing((RoundView r) -> r.dueDays().orElse(Long.MAX_VALUE))
                .thenComparing(RoundView::pump)
                .thenComparing(RoundView::title))
        .toList();
  }
}
