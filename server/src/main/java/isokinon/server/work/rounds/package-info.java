/** Upkeep that comes round: what is due, and doing it without a rebuild. */
package isokinon.server.work.rounds;
