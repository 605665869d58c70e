/** When a job is done: what waiting costs, and what doing it early wastes. */
package isokinon.core.schedule;
