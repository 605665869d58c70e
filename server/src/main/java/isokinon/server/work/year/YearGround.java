package isokinon.server.work.year;

import isokinon.core.stock.KitId;
import isokinon.core.year.Belief;
import isokinon.core.year.Keeping;
import isokinon.core.year.YearPlan;
import isokinon.core.year.YearShop;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;

/**
 * The shop as it stands when a year is played: its pumps, its shelf, its bench.
 *
 * @param subjects the pumps that are played
 * @param kits of the shelf, in the order of the shop's
 * @param leftOut how many pumps have no sheet, so that nobody knows what a renewal takes
 * @param noPrice of how many the price of the kit is not known
 */
record YearGround(
    LocalDate from,
    List<YearSubject> subjects,
    List<KitId> kits,
    YearShop shop,
    List<Belief> beliefs,
    int leftOut,
    int noPrice) {

  YearPlan plan(YearPolicy policy) {
    return plan(s -> s.keeping(policy), shop);
  }

  YearPlan plan(Function<YearSubject, Keeping> keeping, YearShop in) {
    return new YearPlan(
        subjects.stream().map(YearSubject::pump).toList(),
        subjects.parallelStream().map(keeping).toList(),
        in,
        beliefs);
  }
}
