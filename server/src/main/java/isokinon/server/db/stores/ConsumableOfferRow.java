package isokinon.server.db.stores;

/**
 * What a pack of a consumable costs and how long it takes to come.
 *
 * @param price of one pack, pounds
 * @param leadDays days from order to shelf
 */
public record ConsumableOfferRow(String consumable, double price, int leadDays) {}
