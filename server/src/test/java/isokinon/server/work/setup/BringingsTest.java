package isokinon.server.work.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.server.work.setup.BringProgress.Phase;
import isokinon.server.work.setup.tables.SetupTable;
import isokinon.server.work.shared.RequestProblem;
import org.junit.jupiter.api.Test;

/** Tables that are being brought tell how far they are, and end when they are stopped. */
class BringingsTest {

  private final Bringings bringings = new Bringings();

  private int brings(BringProgress progress, Runnable afterAHundred) {
    progress.begins(Phase.WRITING, SetupTable.RUNS, 200);
    for (int i = 0; i < 200; i++) {
      if (i == 100) {
        afterAHundred.run();
      }
      progress.step();
    }
    return 200;
  }

  @Test
  void progressIsToldWhileItLasts() {
    Runnable asked =
        () ->
            assertThat(bringings.progress("w"))
                .isEqualTo(new BringProgressView(Phase.WRITING, "Past runs", 64, 200));
    assertThat(bringings.<Integer>watched("w", "MA", p -> brings(p, asked))).isEqualTo(200);
    assertThat(bringings.progress("w")).isEqualTo(BringProgressView.IDLE);
    assertThat(bringings.<Integer>watched(null, "MA", p -> brings(p, () -> {}))).isEqualTo(200);
  }

  @Test
  void whoBringsItStopsItAndNobodyElse() {
    bringings.watched("w", "MA", p -> brings(p, () -> bringings.stop("w", "RT")));
    assertThatThrownBy(
            () -> bringings.watched("w", "MA", p -> brings(p, () -> bringings.stop("w", "MA"))))
        .isInstanceOf(RequestProblem.NotNow.class);
    assertThat(bringings.progress("w")).isEqualTo(BringProgressView.IDLE);
    bringings.stop("w", "MA");
  }
}
