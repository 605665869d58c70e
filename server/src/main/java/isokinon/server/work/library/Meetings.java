package isokinon.server.work.library;

import isokinon.core.material.FluidsInTurn;
import isokinon.core.material.FluidsInTurn.Turn;
import isokinon.core.material.Meeting;
import isokinon.server.db.pumps.ExposureRow;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which fluids of a pump must not meet in it, and in which order they leave the fewest gaps. */
@Component
public class Meetings {

  /**
   * What must not meet in a pump.
   *
   * @param pairs every pair, the worst first
   * @param order fluids in the order that leaves the fewest gaps; empty where nothing must be kept
   *     apart or the order is free
   * @param gaps how often one must be flushed out before the next, going round once
   */
  public record MeetingsView(List<MeetingView> pairs, List<StrengthView> order, int gaps) {}

  /**
   * Two that must not meet.
   *
   * @param gives the danger
   * @param happens what happens, one sentence
   * @param apart what keeps them apart, one sentence
   */
  public record MeetingView(
      StrengthView one, StrengthView other, Meeting.Danger gives, String happens, String apart) {}

  /** A fluid in words, at its strength. */
  public record StrengthView(String fluid, double concentrationPct) {}

  private final ShopLibrary library;

  Meetings(ShopLibrary library) {
    this.library = library;
  }

  /** What proves that none is left of those fluids of a pump that must not meet. */
  public List<Meeting.Residue> residues(List<ExposureRow> exposures) {
    return exposures.size() < 2
        ? List.of()
        : FluidsInTurn.of(turns(exposures), library.materials()).residues();
  }

  /** What of the fluids of a pump must not meet. */
  public MeetingsView ofPump(List<ExposureRow> exposures) {
    return of(turns(exposures));
  }

  private static List<Turn> turns(List<ExposureRow> exposures) {
    return exposures.stream().map(e -> new Turn(e.fluid(), e.concentrationPct())).toList();
  }

  /** What of these fluids must not meet. */
  public MeetingsView of(List<Turn> turns) {
    FluidsInTurn inTurn = FluidsInTurn.of(turns, library.materials());
    List<MeetingView> pairs =
        inTurn.meetings().stream()
            .map(
                m ->
                    new MeetingView(
                        named(turns.get(m.one())),
                        named(turns.get(m.other())),
                        m.why().gives(),
                        m.why().happens(),
                        m.why().apart()))
            .toList();
    FluidsInTurn.Order order = inTurn.order();
    return new MeetingsView(
        pairs,
        pairs.isEmpty() || turns.size() < 3
            ? List.of()
            : order.places().stream().map(p -> named(turns.get(p))).toList(),
        order.gaps());
  }

  private StrengthView named(Turn turn) {
    return new StrengthView(library.materials().fluidName(turn.fluid()), turn.pct());
  }

  /** With what a fluid must not meet, each group once, with the worst that comes of it. */
  public List<ApartView> against(String fluid, double pct) {
    Set<String> told = new HashSet<>();
    return library.materials().meetingsOf(fluid, pct).stream()
        .map(
            m ->
                new ApartView(
                    Optional.of(m)
                        .filter(x -> library.materials().inGroup(x.one(), fluid, pct))
                        .map(x -> x.other().title())
                        .orElse(m.one().title()),
                    m.gives(),
                    m.happens(),
                    m.apart()))
        .filter(a -> told.add(a.group()))
        .toList();
  }

  /**
   * A group of fluids that another must not meet.
   *
   * @param group in words
   * @param gives the danger
   * @param happens what happens, one sentence
   * @param apart what keeps them apart, one sentence
   */
  public record ApartView(String group, Meeting.Danger gives, String happens, String apart) {}
}
