package isokinon.core.stock;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * How many pieces of each kit may be fitted, and how many of them nobody holds. Lots that are
 * over-age count for nothing, held or not.
 */
public final class Availability {

  /**
   * Pieces of one kit.
   *
   * @param fittable that may be fitted
   * @param held of them held for jobs
   */
  public record Pieces(int fittable, int held) {

    private static final Pieces NONE = new Pieces(0, 0);

    /** Pieces that nobody holds; never less than none. */
    public int free() {
      return Math.max(0, fittable - held);
    }

    private Pieces plus(Pieces other) {
      return new Pieces(fittable + other.fittable, held + other.held);
    }
  }

  private final Map<KitId, Pieces> pieces = new HashMap<>();
  private final Set<String> fittableLots = new HashSet<>();

  private Availability() {}

  /** What these lots come to on {@code day}. */
  public static Availability of(Collection<Lot> lots, LocalDate day) {
    Availability all = new Availability();
    for (Lot lot : lots) {
      if (LotStatus.of(lot.life(), lot.quantity(), day).fittable()) {
        all.pieces.merge(lot.kit(), new Pieces(lot.quantity(), lot.held()), Pieces::plus);
        all.fittableLots.add(lot.id());
      }
    }
    return all;
  }

  /** The pieces of a kit. */
  public Pieces of(KitId kit) {
    return pieces.getOrDefault(kit, Pieces.NONE);
  }

  /** Whether a lot may be fitted. */
  public boolean fittable(String lot) {
    return fittableLots.contains(lot);
  }
}
