package isokinon.server.work.ahead;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.join.Join;
import isokinon.core.rules.BenchRules;
import isokinon.server.work.bench.Bench;
import isokinon.server.work.bench.Hand;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.ActDescriptions;
import isokinon.server.work.stages.BenchViewer;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts what was done on a device without the server into the job as it stands there now. */
@Service
public class Stories {

  private final Bench bench;
  private final BenchViewer viewer;
  private final Clock clock;

  Stories(Bench bench, BenchViewer viewer, Clock clock) {
    this.bench = bench;
    this.viewer = viewer;
    this.clock = clock;
  }

  /**
   * Shows two stories beside each other, and records them as one where that is asked and nothing is
   * left to decide. Sent twice, an act is recorded once.
   *
   * @param hand whose acts they are, and on which device
   */
  @Transactional
  public JoinView join(long id, AwayStory story, Hand hand) {
    Job job = bench.locked(id);
    Map<UUID, Long> recorded = new HashMap<>();
    story
        .acts()
        .forEach(
            a -> bench.recordedAs(a.key().toString()).ifPresent(seq -> recorded.put(a.key(), seq)));
    List<BenchEvent<?>> meanwhile =
        job.rebuild().events().stream()
            .filter(e -> e.seq() > story.seen() && !recorded.containsValue(e.seq()))
            .toList();
    List<Join.Kept> kept =
        story.acts().stream()
            .filter(a -> !recorded.containsKey(a.key()))
            .map(a -> kept(job, a))
            .toList();
    Map<String, Join.Decision> decided = new HashMap<>();
    if (story.decided() != null) {
      story.decided().forEach((key, decision) -> decided.put(key.toString(), decision));
    }
    List<Join.Point> points =
        Join.of(
            job.rebuild(),
            meanwhile,
            kept,
            decided,
            hand.actor(),
            (rebuild, act, at) ->
                bench.refusal(new Job(job.row(), job.pump(), rebuild), act, hand, at));
    int open = (int) points.stream().filter(Join.Point::open).count();
    boolean goes = story.record() && open == 0;
    List<String> theirs = said(job, story.seen(), meanwhile.stream().map(BenchEvent::act).toList());
    List<String> mine = said(job, story.seen(), points.stream().map(p -> p.kept().act()).toList());
    Job now = goes ? recorded(job, points, mine, hand) : job;
    return new JoinView(
        viewer.view(now),
        goes,
        open,
        IntStream.range(0, theirs.size())
            .mapToObj(i -> theirs(meanwhile.get(i), theirs.get(i)))
            .toList(),
        IntStream.range(0, mine.size()).mapToObj(i -> mine(points.get(i), mine.get(i))).toList());
  }

  /** Acts in words, as they follow on what both had seen. */
  private static List<String> said(Job job, long seen, List<? extends Act> acts) {
    List<Act> all = new ArrayList<>();
    job.rebuild().events().stream().filter(e -> e.seq() <= seen).forEach(e -> all.add(e.act()));
    int before = all.size();
    all.addAll(acts);
    return ActDescriptions.say(job.rebuild().sheet(), all).subList(before, all.size());
  }

  /** An act that waited; one whose reading cannot be read is kept as the words it came with. */
  private Join.Kept kept(Job job, AwayStory.KeptAct waited) {
    Instant at = clock.instant().minusSeconds(waited.secondsAgo());
    Act act;
    try {
      act = bench.read(job, waited.act());
    } catch (RequestProblem e) {
      act = new JobAct.Noted(cut("Not read: " + waited.act() + ". " + e.getMessage()));
    }
    return new Join.Kept(waited.key().toString(), act, at);
  }

  private Job recorded(Job job, List<Join.Point> points, List<String> said, Hand hand) {
    Job now = job;
    for (int i = 0; i < points.size(); i++) {
      Join.Point p = points.get(i);
      Act act = p.goesIn() ? p.kept().act() : new JobAct.Noted(note(job, p, said.get(i)));
      now = bench.recorded(now, p.kept().key(), act, hand, p.kept().at());
    }
    return now;
  }

  /** What did not go in as an act stands in the record in words, with the reason. */
  private static String note(Job job, Join.Point p, String what) {
    String said = "Without the server: " + what + ".";
    if (p.fate() == Join.Fate.REFUSED) {
      return cut(said + " Not taken: " + p.because());
    }
    BenchEvent<?> theirs = p.theirs().orElseThrow();
    return cut(
        p.fate() == Join.Fate.SAME
            ? said + " " + theirs.who() + " did the same."
            : said
                + " "
                + theirs.who()
                + "'s stands: "
                + ActDescriptions.say(job.rebuild().sheet(), List.of(theirs.act())).get(0)
                + ".");
  }

  private static String cut(String text) {
    return text.length() <= BenchRules.MOST_TEXT ? text : text.substring(0, BenchRules.MOST_TEXT);
  }

  private JoinView.Theirs theirs(BenchEvent<?> e, String said) {
    return new JoinView.Theirs(e.seq(), time(e.at()), e.who(), said);
  }

  private JoinView.Mine mine(Join.Point p, String said) {
    return new JoinView.Mine(
        p.kept().key(),
        time(p.kept().at()),
        said,
        p.fate(),
        p.because(),
        p.theirs().map(BenchEvent::seq),
        p.decision(),
        p.open());
  }

  private String time(Instant at) {
    return Text.time(at.atZone(clock.getZone()));
  }
}
