package isokinon.server.work.year;

import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.year.Year;
import isokinon.core.year.YearOutcome;
import isokinon.core.year.YearPlan;
import isokinon.server.work.lives.PolicyService;
import isokinon.server.work.lives.PolicyService.PolicyRequest;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.year.YearQuestion.ChangeQuestion;
import isokinon.server.work.year.YearView.TriedChange;
import isokinon.server.work.year.YearView.YearRunView;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Years that are played while somebody waits, and the last few that were. */
@Service
public class YearRuns {

  private static final Logger LOG = LoggerFactory.getLogger(YearRuns.class);

  private static final int FEWEST_YEARS = 100;
  private static final int MOST_YEARS = 2_000;

  /** So many are remembered; an older one is played again when it is asked for. */
  private static final int REMEMBERED = 4;

  private static final int MOST_CHANGES = 20;

  /** The luck that all years are played with: the same question has the same answer. */
  private static final long SEED = 1;

  private final YearReader reader;
  private final YearChanges changes;
  private final PolicyService keeping;
  private final Map<String, Run> runs = new LinkedHashMap<>();
  private final ExecutorService player =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread thread = new Thread(r, "year ahead");
            thread.setDaemon(true);
            return thread;
          });

  /** A year that is played or was. */
  private static final class Run {

    private final YearQuestion question;
    private volatile boolean stopped;
    private volatile int done;
    private volatile int of;
    private volatile String playing;
    private volatile String problem = "";
    private volatile YearViews.Played played;
    private volatile YearView view;
    private volatile List<TriedChange> tried = List.of();

    Run(YearQuestion question) {
      this.question = question;
      this.playing = "both ways";
      this.of = 2 * question.years();
    }
  }

  YearRuns(YearReader reader, YearChanges changes, PolicyService keeping) {
    this.reader = reader;
    this.changes = changes;
    this.keeping = keeping;
  }

  /**
   * Begins to play a year.
   *
   * @throws RequestProblem where the number of years is out of range
   */
  public YearRunView begin(YearQuestion asked) {
    YearQuestion question = asked.filled();
    if (question.years() < FEWEST_YEARS || question.years() > MOST_YEARS) {
      throw RequestProblem.invalid(
          "years", "A year is played " + FEWEST_YEARS + " to " + MOST_YEARS + " times.");
    }
    Run run = new Run(question);
    String id = UUID.randomUUID().toString();
    synchronized (runs) {
      runs.put(id, run);
      while (runs.size() > REMEMBERED) {
        Map.Entry<String, Run> oldest = runs.entrySet().iterator().next();
        oldest.getValue().stopped = true;
        runs.remove(oldest.getKey());
      }
    }
    player.execute(() -> alone(run, () -> play(run)));
    return view(id, run);
  }

  /**
   * How far a year has come.
   *
   * @throws RequestProblem where it is not remembered any more
   */
  public YearRunView view(String id) {
    return view(id, run(id));
  }

  /** Stops what is being played of a year; what is finished of it stays. */
  public YearRunView stop(String id) {
    Run run = run(id);
    run.stopped = true;
    return view(id, run);
  }

  /**
   * Begins to play one change beside the second policy of a year.
   *
   * @throws RequestProblem where the year is still played, or the change cannot be
   */
  public YearRunView change(String id, ChangeQuestion change) {
    Run run = run(id);
    if (run.view == null || !run.playing.isEmpty()) {
      throw RequestProblem.notNow("", "The year is still being played: wait for it, or stop it.");
    }
    if (run.tried.size() >= MOST_CHANGES) {
      throw RequestProblem.notNow("", "Enough was tried beside this year: play it again.");
    }
    String say = YearChanges.say(change, run.played.ground());
    run.stopped = false;
    run.problem = "";
    run.done = 0;
    run.of = run.question.years();
    run.playing = say;
    player.execute(() -> alone(run, () -> tryOut(run, change, say)));
    return view(id, run);
  }

  /**
   * Keeps every pump as the second policy does from now on.
   *
   * @return how many pumps are kept otherwise than before
   * @throws RequestProblem where the second policy is not the advised one
   */
  @Transactional
  public int take(String id, String who) {
    Run run = run(id);
    if (run.view == null || run.question.right() != YearPolicy.AS_ADVISED) {
      throw RequestProblem.notNow("", "Only what is advised is taken, once it was played.");
    }
    int taken = 0;
    for (YearSubject s : run.played.ground().subjects()) {
      Optional<Kept> advised = s.best().flatMap(Policies::chosen);
      if (advised.isPresent()
          && !s.keeping(YearPolicy.AS_TODAY).equals(s.keeping(YearPolicy.AS_ADVISED))) {
        Kept k = advised.get();
        Double hours =
            k.way() == Way.UNTIL_IT_FAILS
                ? null
                : Math.max(1, Math.floor(k.every() / s.life().perHour()));
        keeping.choose(
            new PolicyRequest(
                List.of(s.tag()),
                k.way(),
                hours,
                "advised by the year ahead from " + run.view.from()),
            who);
        taken++;
      }
    }
    return taken;
  }

  private static void alone(Run run, Runnable task) {
    try {
      task.run();
    } catch (RuntimeException e) {
      LOG.error("a year could not be played", e);
      run.problem = "It could not be played to its end: play it again.";
    } finally {
      run.playing = "";
    }
  }

  private void play(Run run) {
    YearQuestion q = run.question;
    YearGround ground = reader.read(q.shelf(), q.people());
    YearPlan left = ground.plan(q.left());
    YearPlan right = ground.plan(q.right());
    Optional<YearOutcome> one = outcome(run, left, 0);
    Optional<YearOutcome> two = one.flatMap(o -> outcome(run, right, q.years()));
    if (two.isEmpty()) {
      run.problem = "It was stopped.";
      return;
    }
    YearViews.Played played =
        new YearViews.Played(
            ground, q.left(), left, one.orElseThrow(), q.right(), right, two.get());
    YearView plain = YearViews.of(played, List.of());
    run.played = played;
    run.view = YearViews.of(played, changes.options(ground, plain.kits(), right));
  }

  private void tryOut(Run run, ChangeQuestion change, String say) {
    YearPlan plan = changes.plan(change, run.played.ground(), run.played.rightPlan());
    Optional<YearOutcome> out = outcome(run, plan, 0);
    if (out.isEmpty()) {
      run.problem = "It was stopped.";
      return;
    }
    List<TriedChange> tried = new ArrayList<>(run.tried);
    tried.removeIf(t -> t.say().equals(say));
    tried.add(YearChanges.came(say, run.played.rightOut(), out.get()));
    run.tried = List.copyOf(tried);
  }

  private static Optional<YearOutcome> outcome(Run run, YearPlan plan, int before) {
    Optional<YearOutcome> out =
        Year.play(
            plan,
            run.question.years(),
            SEED,
            done -> {
              run.done = before + done;
              return !run.stopped;
            });
    out.ifPresent(o -> run.done = before + run.question.years());
    return out;
  }

  private Run run(String id) {
    synchronized (runs) {
      Run run = runs.get(id);
      if (run == null) {
        throw RequestProblem.missing("This year is not remembered any more: play it again.");
      }
      return run;
    }
  }

  private static YearRunView view(String id, Run run) {
    return new YearRunView(
        id, run.done, run.of, run.playing, Optional.ofNullable(run.view), run.tried, run.problem);
  }
}
