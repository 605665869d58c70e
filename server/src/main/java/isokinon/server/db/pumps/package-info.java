/** Pumps, what stands in them, their counters and the runs of their parts. */
package isokinon.server.db.pumps;
