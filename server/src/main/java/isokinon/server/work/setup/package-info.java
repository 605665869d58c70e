/**
 * What a shop is made of, as its people fill it in: one declaration a table, from which its form,
 * its spreadsheet in and out, its faults and its template come.
 */
package isokinon.server.work.setup;
