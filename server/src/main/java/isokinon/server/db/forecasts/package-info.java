/** What was forecast of sets, as it is stored. */
package isokinon.server.db.forecasts;
