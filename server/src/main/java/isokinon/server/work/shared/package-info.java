/**
 * What every use case may need: text, values of tables, problems, settings, what is kept in memory.
 */
package isokinon.server.work.shared;
