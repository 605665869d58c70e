/** What the records say without being asked. */
package isokinon.server.work.insights;
