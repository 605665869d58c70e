/** Storage: rows and the SQL that reads and writes them. */
package isokinon.server.store;
