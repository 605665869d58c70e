/**
 * Storage: rows and the SQL that reads and writes them. The components of a row stand in the order
 * of its table's columns, which is how MyBatis fills records: matching them by name costs the
 * square of their number for every row read.
 */
package isokinon.server.db;
