package isokinon.core.year;

import java.util.ArrayList;
import java.util.List;

/**
 * The bench and the shelf through the year.
 *
 * @param days each day from today on: who is there from which slot to which
 * @param kits what is on the shelf
 * @param pieces of each fixture
 * @param still for each line and each day, when it stands still
 * @param overtimePerHour what an hour outside the usual ones costs more, pounds
 */
public record YearShop(
    List<List<Stretch>> days,
    List<Kit> kits,
    List<Integer> pieces,
    List<List<Window>> still,
    double overtimePerHour) {

  /** Slots from one to another, in which one person is there. */
  public record Stretch(int from, int to, boolean overtime) {}

  /** Slots from one to another; none where they are the same. */
  public record Window(int from, int to) {

    /** Never on this day. */
    public static final Window NEVER = new Window(0, 0);
  }

  /**
   * Pieces of a kit. One is ordered for each that is taken, so that as many lie on the shelf or are
   * on their way as lie there today.
   *
   * @param there pieces that may be fitted today
   * @param leadDays days from an order to the shelf
   */
  public record Kit(String name, int there, int leadDays) {}

  /** The same with so many more pieces of a kit; never less than none. */
  public YearShop with(int kit, int more) {
    List<Kit> changed = new ArrayList<>(kits);
    Kit k = kits.get(kit);
    changed.set(kit, new Kit(k.name(), Math.max(0, k.there() + more), k.leadDays()));
    return new YearShop(days, changed, pieces, still, overtimePerHour);
  }
}
