/** What stands in a pump: its wet end, its duty, the runs of its parts, the hours it has run. */
package isokinon.server.work.pumps;
