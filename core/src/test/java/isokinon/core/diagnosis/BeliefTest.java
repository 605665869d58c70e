package isokinon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class BeliefTest {

  private static final Belief EVEN = Belief.of(Map.of("a", 1.0, "b", 1.0), Map.of());

  @Test
  void bayesByHand() {
    // 0.6·0.9 against 0.4·0.2: 0.54 of 0.62.
    Belief prior = Belief.of(Map.of("a", 3.0, "b", 2.0), Map.of());
    Evidence seen = new Evidence("s", true, Map.of("a", 0.9, "b", 0.2), 0.5);
    assertThat(prior.given(seen).of("a")).isCloseTo(0.54 / 0.62, within(1e-12));
    assertThat(prior.given(seen.as(false)).of("a")).isCloseTo(0.06 / 0.38, within(1e-12));
    assertThat(prior.expects(seen)).isCloseTo(0.62, within(1e-12));
    assertThat(prior.weightBits(seen, "a")).isCloseTo(Math.log(4.5) / Math.log(2), within(1e-12));
  }

  @Test
  void whatIsConfirmedHereOutweighsTheLibrary() {
    Belief shop = Belief.of(Map.of("a", 8.0, "b", 2.0), Map.of("b", 30));
    assertThat(shop.of("b")).isCloseTo(0.8, within(1e-12));
    assertThatThrownBy(() -> Belief.of(Map.of("a", 0.0), Map.of())).hasMessageContaining("a");
    assertThatThrownBy(() -> Belief.of(Map.of(), Map.of())).hasMessageContaining("explanation");
  }

  @Test
  void entropyIsABitForAnEvenPairAndNothingIsEverCertain() {
    assertThat(EVEN.entropyBits()).isCloseTo(1, within(1e-12));
    Belief sure = EVEN.given(new Evidence("s", true, Map.of("a", 1.0, "b", 0.0), 0));
    assertThat(sure.of("b")).isBetween(0.005, 0.02);
  }

  @Property
  void chancesStayChancesAndOrderOfEvidenceDoesNotMatter(
      @ForAll @DoubleRange(min = 0, max = 1) double p,
      @ForAll @DoubleRange(min = 0, max = 1) double q,
      @ForAll boolean first,
      @ForAll boolean second,
      @ForAll @IntRange(min = 0, max = 40) int confirmed) {
    Belief prior = Belief.of(Map.of("a", 1.0, "b", 2.0, "c", 0.5), Map.of("c", confirmed));
    Evidence one = new Evidence("one", first, Map.of("a", p), 0.3);
    Evidence two = new Evidence("two", second, Map.of("b", q, "c", p), 0.6);
    Belief thus = prior.given(List.of(one, two));
    assertThat(thus.ranked().stream().mapToDouble(Belief.Ranked::chance).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(thus.of("b")).isCloseTo(prior.given(List.of(two, one)).of("b"), within(1e-9));
  }

  @Property
  void aTestNeverRaisesDoubtOnTheWholeAndSafeOnesComeFirst(
      @ForAll @DoubleRange(min = 0.01, max = 0.99) double p,
      @ForAll @DoubleRange(min = 0.01, max = 0.99) double q) {
    TestChoice.Test safe =
        new TestChoice.Test(
            new Evidence("safe", true, Map.of("a", p, "b", q), 0.5), 60, TestChoice.Kind.SAFE);
    TestChoice.Test live =
        new TestChoice.Test(
            new Evidence("live", true, Map.of("a", 0.98, "b", 0.02), 0.5),
            1,
            TestChoice.Kind.ENERGISED);
    List<TestChoice> ranked = TestChoice.ranked(EVEN, List.of(live, safe));
    assertThat(ranked).allMatch(t -> t.gainBits() >= -1e-12);
    TestChoice worthless = ranked.get(1);
    assertThat(ranked.get(0).test() == safe || worthless.gainBits() < TestChoice.LEAST_BITS)
        .isTrue();
  }
}
