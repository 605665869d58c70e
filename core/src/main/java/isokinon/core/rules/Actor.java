package isokinon.core.rules;

/**
 * Who acts, as far as a rule asks.
 *
 * @param initials the person
 * @param lead whether this person leads
 * @param licensed whether this person is licensed for electrical work
 */
public record Actor(String initials, boolean lead, boolean licensed) {

  /** Somebody of whom nothing is known yet, for what is only supposed. */
  public static final Actor NOBODY = new Actor("", false, true);

  /** A technician with a licence. */
  public static Actor licensed(String initials) {
    return new Actor(initials, false, true);
  }
}
