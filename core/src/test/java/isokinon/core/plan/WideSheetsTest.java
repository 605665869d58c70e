package isokinon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sheets built to hurt the planner: it answers, and says so where it can no longer be sure. */
class WideSheetsTest {

  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private static Plan planAll(List<String> steps, int parts) {
    StringBuilder text = new StringBuilder("{id: wide, startPose: up, parts: [");
    List<String> all = new ArrayList<>();
    for (int i = 0; i < parts; i++) {
      all.add("p" + i);
      text.append("{id: p").append(i).append("},");
    }
    text.append("], steps: [").append(String.join(",", steps)).append("]}");
    Sheet sheet = SheetReader.forComputing().read(text.toString()).orThrow();
    return Assertions.assertTimeoutPreemptively(
        PATIENCE, () -> new Planner().plan(sheet, PlanRequest.of(all, List.of())));
  }

  @ParameterizedTest
  @CsvSource({"2, 20, true", "3, 13, true", "60, 1, false", "100, 5, false"})
  void manyChainsWithManyToolsAndPoses(int chains, int length, boolean exact) {
    List<String> steps = new ArrayList<>();
    for (int i = 0; i < chains * length; i++) {
      steps.add(
          "{id: s%d, frees: [p%d], after: [%s], tools: [t%d], pose: q%d, stripMinutes: 1}"
              .formatted(i, i, i % length == 0 ? "" : "s" + (i - 1), i * 7 % 23, i * 5 % 11));
    }
    Plan plan = planAll(steps, chains * length);
    assertThat(plan.strip()).hasSize(chains * length);
    assertThat(plan.optimal()).isEqualTo(exact);
  }

  @Test
  void manyAlternativesForEveryPart() {
    List<String> steps = new ArrayList<>();
    for (int part = 0; part < 40; part++) {
      for (int way = 0; way < 6; way++) {
        steps.add(
            "{id: s%d-%d, frees: [p%d, p%d], stripMinutes: %d}"
                .formatted(part, way, part, (part * 7 + way * 11) % 40, 3 + (part + way * 3) % 5));
      }
    }
    Plan plan = planAll(steps, 40);
    assertThat(plan.freed()).hasSize(40);
  }

  @Test
  void alternativesThatHangOnAlternatives() {
    List<String> steps = new ArrayList<>();
    for (int i = 0; i < 120; i++) {
      String any = i < 4 ? "" : "[[s%d], [s%d], [s%d]]".formatted(i - 1, i - 2, (i * 3) % i);
      steps.add(
          "{id: s%d, frees: [p%d], afterAny: %s, stripMinutes: %d}"
              .formatted(i, i % 60, any.isEmpty() ? "[]" : any, 1 + i % 4));
    }
    assertThat(planAll(steps, 60).freed()).hasSize(60);
  }
}
