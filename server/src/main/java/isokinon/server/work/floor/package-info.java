/** The floor, the page of a pump, waits that are open. */
package isokinon.server.work.floor;
