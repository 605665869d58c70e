package isokinon.core.diagnosis;

import isokinon.core.value.Code;
import java.util.Comparator;
import java.util.List;

/**
 * What a test is worth before it is done.
 *
 * @param test the test
 * @param gainBits expected drop of entropy, bits
 * @param bitsPerMinute that, for each minute it takes
 * @param chanceOfYes chance that it answers yes
 * @param afterYes what is believed then
 * @param afterNo what is believed otherwise
 */
public record TestChoice(
    Test test,
    double gainBits,
    double bitsPerMinute,
    double chanceOfYes,
    Belief afterYes,
    Belief afterNo) {

  /** A test that settles less than this is not worth walking over for, bits (shop rule). */
  public static final double LEAST_BITS = 0.02;

  /** What a test asks of the person: the order in which tests are offered. */
  public enum Kind implements Code {
    SAFE,
    /** Live electrical work: licensed people where the law says so. */
    ENERGISED,
    /** Opens the pump: its minutes are those of the strip. */
    OPENS
  }

  /**
   * A quick test.
   *
   * @param sign what its answer yes says of each explanation
   * @param minutes what it costs, over 0
   * @param kind what it asks of the person
   */
  public record Test(Evidence sign, double minutes, Kind kind) {}

  /**
   * Tests by worth: those that are safe first, then those on live parts, then those that open the
   * pump; among like ones by expected drop of entropy for each minute. What settles hardly anything
   * comes last, whatever it asks.
   */
  public static List<TestChoice> ranked(Belief belief, List<Test> tests) {
    return tests.stream()
        .map(t -> worth(belief, t))
        .sorted(
            Comparator.comparing((TestChoice t) -> t.gainBits() < LEAST_BITS)
                .thenComparing(t -> t.test().kind())
                .thenComparing(Comparator.comparingDouble(TestChoice::bitsPerMinute).reversed()))
        .toList();
  }

  private static TestChoice worth(Belief belief, Test test) {
    double yes = belief.expects(test.sign().as(true));
    Belief afterYes = belief.given(test.sign().as(true));
    Belief afterNo = belief.given(test.sign().as(false));
    double gain =
        belief.entropyBits() - yes * afterYes.entropyBits() - (1 - yes) * afterNo.entropyBits();
    return new TestChoice(test, gain, gain / test.minutes(), yes, afterYes, afterNo);
  }
}
