/**
 * The tables of the pumps: the positions, the units, what is in them, what they ran and what their
 * counters showed.
 */
package isokinon.server.work.setup.tables.pumps;
