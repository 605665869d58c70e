/** Lots, offers, and what moves on the shelf. */
package isokinon.server.db.stores;
