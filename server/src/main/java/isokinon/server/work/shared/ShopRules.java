package isokinon.server.work.shared;

/**
 * From when on a shop wants to be told.
 *
 * @param watchFrom chance of failing within 30 days from which a pump is to be watched, 0 to 1
 * @param renewFrom chance from which it is to be renewed, 0 to 1; not under the other
 * @param worthAYear what a habit must cost a year to be told, in the shop's currency
 */
public record ShopRules(double watchFrom, double renewFrom, double worthAYear) {

  /** What holds where the shop has not said: starting values, chosen for the demo mill. */
  public static final ShopRules USUAL = new ShopRules(0.06, 0.20, 100);

  /** How a pump with this chance of failing within 30 days is marked. */
  public StateMark mark(double risk30) {
    return risk30 >= renewFrom
        ? StateMark.RENEW
        : risk30 >= watchFrom ? StateMark.WATCH : StateMark.SOUND;
  }
}
