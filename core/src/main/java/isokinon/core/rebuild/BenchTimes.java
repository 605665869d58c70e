package isokinon.core.rebuild;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Time at the bench: in each stage, and for each finished step. A gap between two acts counts for
 * at most half an hour: beyond that nobody stood at the pump (shop rule).
 */
final class BenchTimes {

  private static final Duration LONGEST_GAP = Duration.ofMinutes(30);

  private final Map<Stage, Duration> stages = new EnumMap<>(Stage.class);
  private final Map<String, StepTime> steps = new LinkedHashMap<>();
  private Stage stage = Stage.TAKE_IN;
  private Optional<Instant> last = Optional.empty();
  private Duration soFar = Duration.ZERO;

  /** Counts the time before an event to the stage it came in, and to the step it belongs to. */
  void before(BenchEvent<?> event) {
    Duration gap = gap(last.orElse(event.at()), event.at());
    last = Optional.of(event.at());
    stages.merge(stage, gap, Duration::plus);
    soFar = soFar.plus(gap);
  }

  /** After an event: a finished step has its time, and the next stage may have begun. */
  void after(Act act, boolean building, Stage now) {
    stage = now;
    if (act instanceof StepAct.StepDone done) {
      steps.put(done.step() + building, new StepTime(done.step(), building, soFar));
    } else if (act instanceof StepAct.StepUndone undone) {
      steps.remove(undone.step() + building);
    } else if (!endsWhatWasInHand(act)) {
      return;
    }
    soFar = Duration.ZERO;
  }

  /** Reading, checking and noting belong to the step in hand; these do not. */
  private static boolean endsWhatWasInHand(Act act) {
    return act instanceof JobAct.StageDone
        || act instanceof JobAct.Resumed
        || act instanceof JobAct.TakenOn
        || act instanceof PartAct.Judged
        || act instanceof PartAct.MaterialChosen
        || act instanceof PartAct.KitFitted;
  }

  /** The stage that time counts to now. */
  Stage stage() {
    return stage;
  }

  /** Time in each stage up to {@code now}; none is counted once the pump is handed back. */
  Map<Stage, Duration> stages(Instant now) {
    Map<Stage, Duration> upToNow = new EnumMap<>(Stage.class);
    upToNow.putAll(stages);
    if (stage != Stage.CLOSED) {
      upToNow.merge(stage, gap(last.orElse(now), now), Duration::plus);
    }
    return upToNow;
  }

  /** Finished steps in the order they were done; one taken back counts once it is done again. */
  List<StepTime> steps() {
    return List.copyOf(steps.values());
  }

  private static Duration gap(Instant from, Instant to) {
    Duration gap = Duration.between(from, to);
    return gap.compareTo(LONGEST_GAP) > 0 ? LONGEST_GAP : gap.isNegative() ? Duration.ZERO : gap;
  }
}
