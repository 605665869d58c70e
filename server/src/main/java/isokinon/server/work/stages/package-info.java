/**
 * What the bench shows: the head of a job, and one viewer for each stage. A viewer decides nothing.
 */
package isokinon.server.work.stages;
