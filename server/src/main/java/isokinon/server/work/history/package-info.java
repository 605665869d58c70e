/** Past runs, counters and back-ups, in and out as tables. */
package isokinon.server.work.history;
