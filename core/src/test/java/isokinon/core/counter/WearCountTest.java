package isokinon.core.counter;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.sheet.Family;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What drives the wear of each family. */
class WearCountTest {

  @Test
  void theRealAgeOfAWearPart() {
    assertThat(WearCount.of(Family.AIR_DIAPHRAGM)).isEqualTo(WearCount.STROKES);
    assertThat(WearCount.of(Family.LINEAR_DIAPHRAGM)).isEqualTo(WearCount.FLEXES);
    assertThat(WearCount.of(Family.PERISTALTIC)).isEqualTo(WearCount.PASSES);
    assertThat(WearCount.of(Family.PROGRESSING_CAVITY)).isEqualTo(WearCount.TURNS);
    assertThat(WearCount.of(Family.MAGNETIC_DRIVE)).isEqualTo(WearCount.HOURS);
  }

  @ParameterizedTest
  @EnumSource(Family.class)
  void everyFamilyHasOne(Family family) {
    assertThat(WearCount.of(family).code()).matches("[a-z]+");
  }
}
