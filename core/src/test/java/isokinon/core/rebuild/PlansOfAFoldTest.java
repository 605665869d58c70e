package isokinon.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.plan.PlanMemo;
import isokinon.core.plan.Planner;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The fold plans when a job is widened, not at each event of it. */
class PlansOfAFoldTest {

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  /** A memo that counts how often the planner ran. */
  private static PlanMemo counting(AtomicInteger runs) {
    Planner planner = new Planner();
    return new PlanMemo(
        (sheet, request) -> {
          runs.incrementAndGet();
          return planner.plan(sheet, request);
        });
  }

  private static RebuildDriver atTheFirstTorque() {
    RebuildDriver bench = new RebuildDriver().takesIn(RebuildDriver.WET_KIT).makesSafe().strips();
    bench.inspects().decides("NBR");
    while (bench.rebuild().torque(bench.rebuild().currentStep().orElseThrow()).stream()
        .noneMatch(round -> round.fullPass() == 3)) {
      bench.buildsOne();
    }
    bench.answersChecks().goesRound().goesRound();
    return bench;
  }

  @Test
  void aTorqueReadingPlansAtMostTwiceHoweverLongTheJobIs() {
    RebuildDriver bench = atTheFirstTorque();
    AtomicInteger runs = new AtomicInteger();
    PlanMemo memo = counting(runs);
    Rebuild before =
        Rebuild.replay(
            ShippedSheet.boltedPlastic(), bench.rebuild().fitted(), bench.events(), memo);
    String step = before.currentStep().orElseThrow();
    Act read = new StepAct.TorqueRead(step, 3, 1, 9, false, Optional.empty());
    assertThat(BenchRules.refuse(before, read, Actor.licensed("RT"), bench.now())).isEmpty();
    Rebuild after = before.plus(new BenchEvent<>(before.seq() + 1, bench.now(), "RT", false, read));
    assertThat(after.times(bench.now())).isNotEmpty();
    assertThat(after.torque(step).orElseThrow().fasteners()).hasSize(1);
    assertThat(runs.get()).isLessThanOrEqualTo(2);
    runs.set(0);
    after.plus(
        new BenchEvent<>(
            after.seq() + 1,
            bench.now(),
            "RT",
            false,
            new StepAct.TorqueRead(step, 3, 2, 9, false, Optional.empty())));
    assertThat(runs.get()).isZero();
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void theStageIsWhatThePlanOfThatMomentSays(String id) {
    Sheet sheet = ShippedSheet.of(id);
    RebuildDriver bench = new RebuildDriver(sheet, new Fitted("none", "EPDM"));
    Sheet.Kit kit = sheet.kits().get(0);
    bench.takesIn(kit.parts().keySet().toArray(String[]::new)).makesSafe();
    while (bench.rebuild().stage() == Stage.STRIP) {
      bench.strips().inspects().decides("EPDM").builds();
    }
    bench.proves();
    for (int n = 1; n <= bench.events().size(); n++) {
      Rebuild then = Rebuild.replay(sheet, bench.rebuild().fitted(), bench.events().subList(0, n));
      Stage stage = then.stage();
      if (stage.compareTo(Stage.MAKE_SAFE) > 0 && stage.compareTo(Stage.BUILD) < 0) {
        assertThat(stage == Stage.STRIP)
            .as("%s, event %d", id, n)
            .isEqualTo(!then.stripLeft().isEmpty());
      }
      if (stage.compareTo(Stage.BUILD) >= 0) {
        assertThat(stage == Stage.BUILD)
            .as("%s, event %d", id, n)
            .isEqualTo(!then.buildLeft().isEmpty());
      }
    }
  }
}
