package isokinon.core.wetend;

/**
 * Which wet end a candidate is: the material that leads it, and the plates and shaft it goes on.
 *
 * @param material ISO code or alloy
 * @param hardware id within the sheet; empty where the construction has but one
 */
public record CandidateId(String material, String hardware) implements Comparable<CandidateId> {

  /** A candidate of a construction with but one hardware. */
  public static CandidateId of(String material) {
    return new CandidateId(material, "");
  }

  /**
   * What it is called in a sentence.
   *
   * @param usual the hardware that goes without saying
   */
  public String name(String usual) {
    return hardware.isEmpty() || hardware.equals(usual) ? material : toString();
  }

  @Override
  public int compareTo(CandidateId other) {
    return toString().compareTo(other.toString());
  }

  /** Material and hardware, as other programs see it. */
  @Override
  public String toString() {
    return hardware.isEmpty() ? material : material + " on " + hardware;
  }
}
