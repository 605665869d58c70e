package isokinon.server.work.photographs;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import isokinon.core.photograph.PhotographLimits;
import isokinon.core.photograph.PhotographMark;
import isokinon.core.photograph.PhotographOf;
import isokinon.core.value.Fault;
import isokinon.server.db.photographs.PhotographMapper;
import isokinon.server.db.photographs.PhotographRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.work.photographs.PhotographView.BesideLastTime;
import isokinon.server.work.photographs.PhotographView.PhotographsOfJob;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The photographs of jobs. They belong to the record: one of a job that is closed stays. */
@Service
public class Photographs {

  private static final TypeReference<List<PhotographMark>> MARKS = new TypeReference<>() {};

  private final PhotographMapper store;
  private final BenchMapper bench;
  private final Jobs jobs;
  private final ObjectMapper json;
  private final Clock clock;

  Photographs(
      PhotographMapper store, BenchMapper bench, Jobs jobs, ObjectMapper json, Clock clock) {
    this.store = store;
    this.bench = bench;
    this.jobs = jobs;
    this.json = json;
    this.clock = clock;
  }

  /** Those of a job, in the order in which they were taken. */
  @Transactional(readOnly = true)
  public PhotographsOfJob of(long rebuild) {
    Job job = jobs.job(rebuild);
    return new PhotographsOfJob(
        store.of(rebuild).stream().map(row -> view(row, job)).toList(),
        PhotographLimits.OF_A_SUBJECT,
        PhotographLimits.OF_A_JOB);
  }

  /** Those of one thing, and those of it at the last job of the pump that has any. */
  @Transactional(readOnly = true)
  public BesideLastTime beside(long rebuild, PhotographOf of, String subject) {
    Job job = jobs.job(rebuild);
    List<PhotographRow> last = store.lastTime(job.row().pump(), rebuild, of, subject);
    return new BesideLastTime(
        store.of(rebuild).stream()
            .filter(p -> p.isOf(of, subject))
            .map(row -> view(row, job))
            .toList(),
        last.stream().map(row -> view(row, job)).toList(),
        last.stream()
            .findFirst()
            .map(p -> Text.day(p.takenAt().atZoneSameInstant(clock.getZone()).toLocalDate()))
            .orElse(""));
  }

  /** Those of a job for its record, with what was drawn on them. */
  @Transactional(readOnly = true)
  public List<PrintedPhotograph> printed(long rebuild) {
    return of(rebuild).photographs().stream()
        .map(
            p ->
                new PrintedPhotograph(
                    p.title(), caption(p), PrintedPhotograph.drawn(picture(p.id()), p.marks())))
        .toList();
  }

  private static String caption(PhotographView p) {
    String marks =
        p.marks().stream()
            .map(PhotographMark::label)
            .filter(l -> !l.isEmpty())
            .collect(Collectors.joining("; "));
    return p.by() + ", " + p.at() + (marks.isEmpty() ? "" : ": " + marks);
  }

  /**
   * The picture of a photograph, a JPEG.
   *
   * @throws RequestProblem where there is none of this number
   */
  @Transactional(readOnly = true)
  public byte[] picture(long id) {
    return store.picture(id).map(Base64.getDecoder()::decode).orElseThrow(() -> none(id));
  }

  private static RequestProblem none(long id) {
    return RequestProblem.missing("No photograph " + id + ".");
  }

  /**
   * Keeps a photograph; one that is sent again with its key is kept once.
   *
   * @param small the picture; it is made before, since that takes longer than all that is done here
   * @throws RequestProblem where its subject is unknown, the job is closed, or there are as many as
   *     may be
   */
  @Transactional
  public PhotographView take(
      long rebuild, PhotographOf of, String subject, String key, SmallPicture small, String who) {
    Job job = inHand(rebuild);
    Optional<PhotographRow> kept = store.withKey(rebuild, key);
    if (kept.isPresent()) {
      return view(kept.get(), job);
    }
    if (of.title(job.rebuild().sheet(), subject).isEmpty()) {
      throw RequestProblem.invalid(
          "subject", "Its sheet has no " + of.code() + " " + subject + ".");
    }
    List<PhotographRow> all = store.of(rebuild);
    long same = all.stream().filter(p -> p.isOf(of, subject)).count();
    PhotographLimits.full((int) same, all.size())
        .ifPresent(
            why -> {
              throw RequestProblem.notNow("picture", why);
            });
    store.add(
        new PhotographRow(
            0,
            rebuild,
            of,
            subject,
            job.rebuild().stage().name(),
            who,
            OffsetDateTime.now(clock),
            small.width(),
            small.height(),
            small.jpeg().length,
            "[]",
            key),
        Base64.getEncoder().encodeToString(small.jpeg()));
    return view(store.withKey(rebuild, key).orElseThrow(), job);
  }

  /**
   * Draws on a photograph anew: what was drawn before is gone.
   *
   * @throws RequestProblem where there is no such photograph, its job is closed, or a mark lies
   *     beside it
   */
  @Transactional
  public PhotographView mark(long id, List<PhotographMark> marks) {
    List<Fault> faults = PhotographMark.faults(marks);
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    Job job = inHand(row(id).rebuild());
    try {
      store.mark(id, json.writeValueAsString(marks));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
    return view(row(id), job);
  }

  /**
   * Takes a photograph out while its job is in hand.
   *
   * @throws RequestProblem where there is no such photograph, or its job is closed
   */
  @Transactional
  public void remove(long id) {
    inHand(row(id).rebuild());
    store.remove(id);
  }

  private PhotographRow row(long id) {
    return store.photograph(id).orElseThrow(() -> none(id));
  }

  /** A job that is open; nobody else writes to it until the transaction ends. */
  private Job inHand(long rebuild) {
    RebuildRow row =
        bench
            .lock(rebuild)
            .orElseThrow(() -> RequestProblem.missing("No rebuild " + rebuild + "."));
    if (row.closedAt() != null) {
      throw RequestProblem.notNow("", "This job is handed back: its record stays as it is.");
    }
    return jobs.replay(row);
  }

  private PhotographView view(PhotographRow row, Job job) {
    try {
      return new PhotographView(
          row.id(),
          row.ofKind(),
          row.subject(),
          row.ofKind().title(job.rebuild().sheet(), row.subject()).orElse(row.subject()),
          row.takenBy(),
          Text.minute(row.takenAt().atZoneSameInstant(clock.getZone())),
          row.width(),
          row.height(),
          json.readValue(row.marks(), MARKS));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("marks of photograph " + row.id(), e);
    }
  }
}
