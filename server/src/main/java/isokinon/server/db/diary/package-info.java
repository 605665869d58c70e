/** Shifts, fixtures, line stops and the jobs in the diary. */
package isokinon.server.db.diary;
