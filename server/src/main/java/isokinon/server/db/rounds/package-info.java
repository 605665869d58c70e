/** Upkeep that came round: when it was done. */
package isokinon.server.db.rounds;
