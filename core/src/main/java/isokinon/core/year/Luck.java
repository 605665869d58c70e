package isokinon.core.year;

/**
 * The luck of a year: a number from 0 to 1 for each thing that chance decides, always the same for
 * the same thing of the same year, so that two plans that are played with it differ by what they do
 * and not by chance. The mixing function is that of SplittableRandom (Steele, Lea, Flood, 2014).
 */
final class Luck {

  private static final long GOLDEN = 0x9E3779B97F4A7C15L;
  private static final long OF_GROUPS = 0x632BE59BD9B4E019L;
  private static final long OF_PUMPS = 0xD1342543DE82EF95L;

  private final long year;

  Luck(long seed, int year) {
    this.year = mix(seed + GOLDEN * (year + 1L));
  }

  /** What the pumps of a group share. */
  double ofGroup(int luck) {
    return number(year + OF_GROUPS * (luck + 1L));
  }

  /** How far a pump is from an ordinary one of its group. */
  double ofPump(int pump) {
    return ofSet(pump, -1);
  }

  /** How long a set of a pump lasts: the running one is 0, the one after it 1. */
  double ofSet(int pump, int set) {
    return number(year + OF_PUMPS * (pump + 1L) + GOLDEN * (set + 2L));
  }

  private static double number(long at) {
    return ((mix(at) >>> 11) + 0.5) * 0x1.0p-53;
  }

  private static long mix(long z) {
    z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
    z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
    return z ^ (z >>> 31);
  }
}
