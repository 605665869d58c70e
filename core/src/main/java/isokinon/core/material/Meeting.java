package isokinon.core.material;

import isokinon.core.value.Code;
import java.util.Optional;

/**
 * Two groups of fluids that must not meet in one pump, its lines or its drain.
 *
 * @param one a group
 * @param other the other group; never the same
 * @param gives the danger
 * @param happens what happens, one sentence
 * @param apart what keeps them apart, one sentence
 */
public record Meeting(Group one, Group other, Danger gives, String happens, String apart) {

  /** What comes of it, the worst first. */
  public enum Danger implements Code {
    POISON_GAS,
    EXPLOSION,
    FIRE,
    BURST,
    BOILING
  }

  /**
   * A group of fluids that behave alike towards others, from a strength on.
   *
   * @param id kebab-case
   * @param title in words, as the start of a sentence
   * @param residue how it is proved that none of it is left; empty where nothing proves it
   */
  public record Group(String id, String title, Optional<Residue> residue) {}

  /**
   * What the last rinse is read for. The limits are starting values of the shop: where the site has
   * its own, those hold.
   *
   * @param what what is read, such as free chlorine; without a unit, a sentence to be confirmed
   * @param unit of the reading: mg/L, or pH; empty where it is only seen
   * @param min least that proves it gone
   * @param max most that proves it gone
   */
  public record Residue(String what, String unit, Optional<Double> min, Optional<Double> max) {

    /** Whether it is seen, not read. */
    public boolean seen() {
      return unit.isEmpty();
    }
  }
}
