package isokinon.server.work.stores;

import isokinon.server.work.consumables.JobConsumables.ConsumableUse;
import java.util.List;

/**
 * The cheapest way to have what is renewed.
 *
 * @param onHand parts that lie on the shelf in date
 * @param buy what is bought, dearest first
 * @param cost of it all, consumables among it, pounds
 * @param leftOver what was bought beyond the need
 * @param overAge lots that lie there and may not be fitted
 * @param arrivesInDays days until the last of it is on the shelf
 * @param optimal whether nothing cheaper covers the need
 * @param quicker what would be there sooner for more money, as a sentence; empty where nothing
 * @param missing parts nobody offers
 * @param consumables grease, oil and the like that the job uses
 */
public record CoverView(
    List<String> onHand,
    List<BuyLine> buy,
    double cost,
    List<String> leftOver,
    List<String> overAge,
    int arrivesInDays,
    boolean optimal,
    String quicker,
    List<String> missing,
    List<ConsumableUse> consumables) {

  /** So many of one kit or single part. */
  public record BuyLine(
      String id, String title, int count, double price, int leadDays, String orderNumber) {}
}
