/** Rebuilds and what was done in them. */
package isokinon.server.db.rebuilds;
