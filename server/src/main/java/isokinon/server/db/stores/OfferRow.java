package isokinon.server.db.stores;

/**
 * What a kit or a single part costs and how long it takes to come.
 *
 * @param sheetId sheet whose parts it holds
 * @param id kit id, or {@code part:} with a part id
 * @param price price of one, pounds
 * @param leadDays days from order to shelf
 * @param orderNumber by which it is ordered; empty where nobody said
 */
public record OfferRow(String sheetId, String id, double price, int leadDays, String orderNumber) {}
