package isokinon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.sheet.Family;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a test is worth, by hand, against mutual information, and on the shipped tables. */
class TestChoiceTest {

  private static final Belief THREE = Belief.of(Map.of("a", 2.0, "b", 1.0, "c", 1.0), Map.of());

  private static TestChoice.Test test(String id, double a, double b, double minutes) {
    return new TestChoice.Test(
        new Evidence(id, true, Map.of("a", a, "b", b), 0.5), minutes, TestChoice.Kind.SAFE);
  }

  @Test
  void aTestThatTellsTwoEvenCausesApartIsWorthABit() {
    Belief even = Belief.of(Map.of("a", 1.0, "b", 1.0), Map.of());
    TestChoice sharp = TestChoice.ranked(even, List.of(test("t", 0.99, 0.01, 4))).get(0);
    // H(p) of 0.99 is 0.0808 bits: what is left of the one bit.
    assertThat(sharp.gainBits()).isCloseTo(1 - 0.0808, within(1e-4));
    assertThat(sharp.bitsPerMinute()).isCloseTo(sharp.gainBits() / 4, within(1e-12));
    assertThat(sharp.chanceOfYes()).isCloseTo(0.5, within(1e-12));
    TestChoice blunt = TestChoice.ranked(even, List.of(test("t", 0.5, 0.5, 4))).get(0);
    assertThat(blunt.gainBits()).isCloseTo(0, within(1e-12));
  }

  @Test
  void minutesDecideBetweenLikeTestsAndKindBeforeMinutes() {
    TestChoice.Test slow = test("slow", 0.9, 0.1, 20);
    TestChoice.Test quick = test("quick", 0.85, 0.1, 3);
    TestChoice.Test opens =
        new TestChoice.Test(
            new Evidence("opens", true, Map.of("a", 0.99, "b", 0.01), 0.01),
            1,
            TestChoice.Kind.OPENS);
    assertThat(TestChoice.ranked(THREE, List.of(opens, slow, quick)))
        .extracting(t -> t.test().sign().id())
        .containsExactly("quick", "slow", "opens");
  }

  @Property
  void gainIsMutualInformation(
      @ForAll @DoubleRange(min = 0.02, max = 0.98) double a,
      @ForAll @DoubleRange(min = 0.02, max = 0.98) double b) {
    TestChoice worth = TestChoice.ranked(THREE, List.of(test("t", a, b, 1))).get(0);
    double[] prior = {0.5, 0.25, 0.25};
    double[] yes = {a, b, 0.5};
    double pYes = 0;
    for (int i = 0; i < 3; i++) {
      pYes += prior[i] * yes[i];
    }
    double information = 0;
    for (int i = 0; i < 3; i++) {
      information += prior[i] * yes[i] * Math.log(yes[i] / pYes) / Math.log(2);
      information += prior[i] * (1 - yes[i]) * Math.log((1 - yes[i]) / (1 - pYes)) / Math.log(2);
    }
    assertThat(worth.gainBits()).isCloseTo(information, within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(Family.class)
  void everyFamilyHasATestThatSettlesSomethingFromTheStart(Family family) {
    DiagnosisLibrary library = ShippedDiagnosis.read();
    Belief start = library.faultsOf(family, Map.of());
    List<TestChoice.Test> tests = new ArrayList<>();
    library
        .tests(family)
        .forEach(
            t ->
                tests.add(
                    new TestChoice.Test(library.evidence(family, t, true), t.minutes(), t.kind())));
    List<TestChoice> ranked = TestChoice.ranked(start, tests);
    assertThat(ranked.get(0).gainBits()).isGreaterThan(0.1);
    assertThat(ranked.get(0).test().kind()).isEqualTo(TestChoice.Kind.SAFE);
    for (TestChoice t : ranked) {
      double mean =
          t.chanceOfYes() * t.afterYes().of(start.ranked().get(0).id())
              + (1 - t.chanceOfYes()) * t.afterNo().of(start.ranked().get(0).id());
      assertThat(mean).isCloseTo(start.ranked().get(0).chance(), within(1e-9));
    }
  }
}
