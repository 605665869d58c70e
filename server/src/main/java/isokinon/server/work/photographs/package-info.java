/** Photographs of jobs: made small, kept with what is drawn on them, beside those of last time. */
package isokinon.server.work.photographs;
