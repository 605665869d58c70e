package isokinon.core.material;

import isokinon.core.value.Code;

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
   */
  public record Group(String id, String title) {}

  /**
   * A fluid in a group.
   *
   * @param fluid fluid code
   * @param fromPct from this strength on, %
   */
  public record Member(String group, String fluid, double fromPct) {}
}
