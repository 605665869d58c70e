/** Photographs of jobs. */
package isokinon.server.db.photographs;
