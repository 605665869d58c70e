/**
 * Tables as text (CSV, RFC 4180): the one way they are read, shipped ones and those people bring.
 */
package isokinon.core.table;
