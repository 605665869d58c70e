package isokinon.core.join;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.join.Join.Decision;
import isokinon.core.join.Join.Fate;
import isokinon.core.join.Join.Kept;
import isokinon.core.join.Join.Point;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Two stories of one job become one, and nothing of either is lost. */
class JoinTest {

  private static final Instant NINE = Instant.parse("2026-03-17T09:00:00Z");
  private static final Actor RT = Actor.licensed("RT");

  private static final Sheet PUMP =
      SheetReader.forComputing()
          .read(
              """
              id: pump
              parts: [{id: body, renew: keep}, {id: lid}, {id: rotor}]
              steps:
                - id: lid-off
                  frees: [lid]
                  stripMinutes: 1
                  checks: [{id: gap, ask: Gap, kind: number, unit: mm, max: 2, when: strip}]
                - {id: rotor-out, frees: [rotor], after: [lid-off], stripMinutes: 1}
              """)
          .orThrow();

  private final List<BenchEvent<?>> events = new ArrayList<>();

  private Rebuild does(String who, Act... acts) {
    for (Act act : acts) {
      events.add(new BenchEvent<>(events.size() + 1L, NINE, who, false, act));
    }
    return Rebuild.replay(PUMP, new Fitted("rotor", "NBR"), events);
  }

  private Rebuild safe() {
    does("RT", new JobAct.TakenIn(List.of("rotor"), List.of("lid"), List.of(), List.of(), ""));
    Rebuild.CONFIRMATIONS.keySet().forEach(c -> does("RT", new JobAct.Confirmed(c)));
    return does("RT", new JobAct.StageDone(Stage.MAKE_SAFE));
  }

  private static StepAct.Checked gap(double mm) {
    return new StepAct.Checked("lid-off", "gap", Optional.of(new Reading(mm, "mm")), "");
  }

  private static Act done(String step) {
    return new StepAct.StepDone(step, "");
  }

  private static Act judged(Part.Verdict verdict) {
    return new PartAct.Judged("lid", verdict, List.of(), List.of(), "seen");
  }

  private static List<Point> join(
      Rebuild now, long base, Map<String, Decision> decided, Act... mine) {
    List<Kept> kept = new ArrayList<>();
    for (Act act : mine) {
      kept.add(new Kept("k" + kept.size(), act, NINE));
    }
    List<BenchEvent<?>> meanwhile = now.events().stream().filter(e -> e.seq() > base).toList();
    return Join.of(
        now, meanwhile, kept, decided, RT, (r, act, at) -> BenchRules.refuse(r, act, RT, at));
  }

  private static List<Fate> fates(List<Point> points) {
    return points.stream().map(Point::fate).toList();
  }

  @Test
  void whereNobodyElseActedAllGoesInInOrder() {
    Rebuild now = safe();
    List<Point> points = join(now, now.seq(), Map.of(), gap(1), done("lid-off"), done("rotor-out"));
    assertThat(fates(points)).containsOnly(Fate.GOES_IN);
  }

  @Test
  void whatBothDidIsNotDoneTwiceAndWhatFollowsGoesIn() {
    long base = safe().seq();
    Rebuild now = does("KO", gap(1), done("lid-off"));
    List<Point> points = join(now, base, Map.of(), gap(1), done("lid-off"), done("rotor-out"));
    assertThat(fates(points)).containsExactly(Fate.SAME, Fate.SAME, Fate.GOES_IN);
    assertThat(points.get(1).theirs().orElseThrow().who()).isEqualTo("KO");
    assertThat(points).noneMatch(Point::open);
  }

  @Test
  void twoVerdictsWaitForADecisionAndEitherMayStand() {
    long base = safe().seq();
    Rebuild now = does("KO", gap(1), done("lid-off"), judged(Part.Verdict.SOUND));
    Point open = join(now, base, Map.of(), judged(Part.Verdict.WATCH)).get(0);
    assertThat(open.fate()).isEqualTo(Fate.TWICE);
    assertThat(open.open()).isTrue();
    assertThat(open.goesIn()).isFalse();
    for (Decision decision : Decision.values()) {
      Point point = join(now, base, Map.of("k0", decision), judged(Part.Verdict.WATCH)).get(0);
      assertThat(point.open()).isFalse();
      assertThat(point.goesIn()).isEqualTo(decision == Decision.MINE);
    }
  }

  @Test
  void whatTheRulesRefuseNowSaysWhyAndCanOnlyBecomeANote() {
    long base = safe().seq();
    Rebuild now = does("KO", new JobAct.Paused("kit", ""));
    Map<String, Decision> mine = Map.of("k0", Decision.MINE);
    List<Point> points = join(now, base, mine, gap(1), done("lid-off"));
    assertThat(fates(points)).containsExactly(Fate.REFUSED, Fate.REFUSED);
    assertThat(points.get(0).because()).isEqualTo("This job is paused: carry on first.");
    assertThat(points.get(0).open()).isTrue();
    assertThat(join(now, base, Map.of("k0", Decision.THEIRS), gap(1)).get(0).open()).isFalse();
  }

  @Test
  void aStepRefusedTakesWhatDependedOnItWithIt() {
    Rebuild now = safe();
    List<Point> points = join(now, now.seq(), Map.of(), gap(5), done("lid-off"), done("rotor-out"));
    assertThat(fates(points)).containsExactly(Fate.GOES_IN, Fate.REFUSED, Fate.REFUSED);
    assertThat(points.get(1).because()).isEqualTo("The reading misses its limit: Gap.");
  }
}
