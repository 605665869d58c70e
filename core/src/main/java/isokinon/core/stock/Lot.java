package isokinon.core.stock;

/**
 * A lot on the shelf.
 *
 * @param id lot number
 * @param kit what it is
 * @param quantity pieces there, at least 0
 * @param held of them held for jobs
 * @param life until when it may be fitted
 */
public record Lot(String id, KitId kit, int quantity, int held, ShelfLife life) {

  /** Counts below nothing are refused. */
  public Lot {
    if (quantity < 0 || held < 0) {
      throw new IllegalArgumentException("lot " + id + ": a count is 0 or more");
    }
  }
}
