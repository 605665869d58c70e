package isokinon.server.db.shop;

/** A person of the shop, by initials and role only. */
public record PersonRow(String initials, PersonRole role, boolean licensedElectrical) {}
