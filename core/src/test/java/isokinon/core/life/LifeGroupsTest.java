package isokinon.core.life;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which runs are taken together. */
class LifeGroupsTest {

  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);
  private final List<WearRun> runs = new ArrayList<>();

  private void run(int times, String pump, String construction, String duty, boolean failed) {
    for (int i = 0; i < times; i++) {
      runs.add(
          new WearRun(
              pump,
              construction,
              "diaphragm",
              "NBR",
              duty,
              new Run(1000 + i, failed),
              failed ? Optional.of(new Run(5e6 + i, true)) : Optional.empty(),
              DAY,
              Optional.of(DAY)));
    }
  }

  private static final GroupKey A01 = new GroupKey("A-01", "bolted", "diaphragm", "NBR", "sludge");

  private Group ofDuty() {
    return new LifeGroups(runs).at(Level.DUTY, A01);
  }

  @Test
  void eachWidthHoldsWhatIsAlike() {
    run(4, "A-01", "bolted", "sludge", true);
    run(20, "A-01", "bolted", "sludge", false);
    run(1, "A-02", "bolted", "sludge", true);
    run(2, "A-03", "clamped", "sludge", true);
    LifeGroups groups = new LifeGroups(runs);
    assertThat(groups.at(Level.PUMP, A01).failures()).isEqualTo(4);
    assertThat(groups.at(Level.CONSTRUCTION, A01).failures()).isEqualTo(5);
    assertThat(groups.at(Level.DUTY, A01).failures()).isEqualTo(7);
    assertThat(groups.at(Level.DUTY, A01).runs()).hasSize(27);
  }

  @Test
  void anotherDutyOrMaterialIsAnotherGroup() {
    run(9, "A-01", "bolted", "acid", true);
    run(2, "A-03", "clamped", "sludge", true);
    assertThat(ofDuty().runs()).hasSize(2);
    LifeGroups groups = new LifeGroups(runs);
    GroupKey of = new GroupKey("A-01", "bolted", "diaphragm", "NBR", "sludge");
    assertThat(groups.at(Level.ANY_DUTY, of).runs()).hasSize(11);
    assertThat(
            groups
                .at(Level.ANY_DUTY, new GroupKey("A-01", "bolted", "diaphragm", "EPDM", "acid"))
                .runs())
        .isEmpty();
    assertThat(groups.all(Level.DUTY)).hasSize(2);
  }

  @Test
  void countsAreUsedOnlyWhereEveryRunWasCounted() {
    run(3, "A-01", "bolted", "sludge", true);
    assertThat(ofDuty().counted()).isTrue();
    assertThat(ofDuty().ages(true)).extracting(Run::age).allMatch(a -> a > 4e6);
    run(1, "A-01", "bolted", "sludge", false);
    assertThat(ofDuty().counted()).isFalse();
    assertThat(ofDuty().ages(false)).hasSize(4);
    assertThat(new LifeGroups(List.of()).at(Level.DUTY, A01).counted()).isFalse();
  }

  @Test
  void aYearMayBeAskedForAlone() {
    run(3, "A-01", "bolted", "sludge", true);
    assertThat(ofDuty().since(DAY).runs()).hasSize(3);
    assertThat(ofDuty().since(DAY.plusDays(1)).runs()).isEmpty();
  }
}
