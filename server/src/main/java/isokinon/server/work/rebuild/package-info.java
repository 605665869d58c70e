/** Loads and replays a job. */
package isokinon.server.work.rebuild;
