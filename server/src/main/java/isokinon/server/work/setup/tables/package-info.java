/** The tables of a shop's set-up: their columns, what is wrong with a row, how it is written. */
package isokinon.server.work.setup.tables;
