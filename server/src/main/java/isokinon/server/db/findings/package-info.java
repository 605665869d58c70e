/** Readings, causes and faults as they were found, and when to look again. */
package isokinon.server.db.findings;
