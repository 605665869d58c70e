package isokinon.core.material;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The fluids that go through one pump by turns: which of them must not meet, and in which order
 * they leave the fewest gaps that must be flushed and proved.
 */
public final class FluidsInTurn {

  /** So many fluids are put in order by trying every order; more stay as they are. */
  private static final int MOST = 8;

  /** A fluid at its strength, %. */
  public record Turn(String fluid, double pct) {}

  /**
   * Two that must not meet.
   *
   * @param one place of the first in the list asked about
   * @param other place of the second
   * @param why what happens and what keeps them apart; the worst of it
   */
  public record Met(int one, int other, Meeting why) {}

  /**
   * An order that goes round.
   *
   * @param places places in the list asked about, the first of them first
   * @param gaps how often one must be flushed out before the next, going round once
   */
  public record Order(List<Integer> places, int gaps) {

    /** Copies its list. */
    public Order {
      places = List.copyOf(places);
    }
  }

  private final List<Turn> turns;
  private final MaterialLibrary library;
  private final List<Met> meetings = new ArrayList<>();
  private final boolean[][] apart;

  private FluidsInTurn(List<Turn> turns, MaterialLibrary library) {
    this.turns = turns;
    this.library = library;
    apart = new boolean[turns.size()][turns.size()];
    for (int i = 0; i < turns.size(); i++) {
      for (int j = i + 1; j < turns.size(); j++) {
        Optional<Meeting> why = every(turns.get(i), turns.get(j)).stream().findFirst();
        apart[i][j] = why.isPresent();
        apart[j][i] = why.isPresent();
        if (why.isPresent()) {
          meetings.add(new Met(i, j, why.get()));
        }
      }
    }
    meetings.sort(Comparator.comparing(m -> m.why().gives()));
  }

  /** These fluids, each by code, name or alias. */
  public static FluidsInTurn of(List<Turn> turns, MaterialLibrary library) {
    return new FluidsInTurn(List.copyOf(turns), library);
  }

  /** Every reason why two of them must not meet, the worst first. */
  private List<Meeting> every(Turn one, Turn other) {
    Optional<String> a = library.fluid(one.fluid()).map(Fluid::code);
    Optional<String> b = library.fluid(other.fluid()).map(Fluid::code);
    return a.isEmpty() || b.isEmpty()
        ? List.of()
        : library.meetings(a.get(), one.pct(), b.get(), other.pct());
  }

  /** Every pair that must not meet, the worst first. */
  public List<Met> meetings() {
    return Collections.unmodifiableList(meetings);
  }

  /** What proves that none is left of the fluids that must not meet, each once. */
  public List<Meeting.Residue> residues() {
    return meetings.stream()
        .flatMap(m -> every(turns.get(m.one()), turns.get(m.other())).stream())
        .flatMap(m -> Stream.of(m.one(), m.other()))
        .flatMap(group -> group.residue().stream())
        .distinct()
        .toList();
  }

  /** The order with the fewest gaps; of equals the one nearest to the order asked about. */
  public Order order() {
    List<Integer> given = new ArrayList<>();
    for (int i = 0; i < turns.size(); i++) {
      given.add(i);
    }
    Order best = new Order(given, gaps(given));
    return turns.size() < 3 || turns.size() > MOST || best.gaps() == 0
        ? best
        : better(given, 1, best);
  }

  /** Tries every order of what stands from {@code from} on; the first fluid stays first. */
  private Order better(List<Integer> places, int from, Order best) {
    if (from == places.size()) {
      int gaps = gaps(places);
      return gaps < best.gaps() ? new Order(places, gaps) : best;
    }
    Order now = best;
    for (int i = from; i < places.size(); i++) {
      List<Integer> swapped = new ArrayList<>(places);
      Collections.swap(swapped, from, i);
      now = better(swapped, from + 1, now);
    }
    return now;
  }

  private int gaps(List<Integer> places) {
    int gaps = 0;
    for (int i = 0; i < places.size(); i++) {
      gaps += apart[places.get(i)][places.get((i + 1) % places.size())] ? 1 : 0;
    }
    return gaps;
  }
}
