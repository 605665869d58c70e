/** Gauges, wrenches and readings as people type them. */
package isokinon.server.work.instruments;
