package isokinon.core.life;

import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.WeibullMixture;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** What is believed of a life of which no run is known, in mean lives of the library. */
public final class LibraryLife {

  /** Rows of a library have few shapes and few spreads; people choose a shape now and then. */
  private static final int MOST_KEPT = 256;

  private static final Map<FrailtyPrior, WeibullMixture> KEPT = new ConcurrentHashMap<>();

  private LibraryLife() {}

  /**
   * The life by the library alone, its mean life being 1.
   *
   * @param shape of the failure mode
   * @param meanSpread standard deviation of ln mean life
   */
  public static WeibullMixture of(double shape, double meanSpread) {
    if (KEPT.size() > MOST_KEPT) {
      KEPT.clear();
    }
    return KEPT.computeIfAbsent(
        new FrailtyPrior(shape, FrailtyPrior.SHAPE_SPREAD, 1, meanSpread),
        prior -> FrailtyModel.fit(prior, List.of()).newPump());
  }
}
