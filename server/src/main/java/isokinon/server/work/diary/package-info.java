/** Six weeks of work: which jobs, and where they are placed. */
package isokinon.server.work.diary;
