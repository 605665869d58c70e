/**
 * The tables of a shop's set-up as they are filled by forms and spreadsheets, and their changes.
 */
package isokinon.server.db.setup;
