/** The rebuild in hand: what is done, what the bench shows, the hand-back. */
package isokinon.server.work.bench;
