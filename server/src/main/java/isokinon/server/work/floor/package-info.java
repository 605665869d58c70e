/** The floor, the page of a pump, units that change places, waits that are open. */
package isokinon.server.work.floor;
