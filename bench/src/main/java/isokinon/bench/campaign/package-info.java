/**
 * Campaigns against the packaged application: killed, raced, sent what nobody sends. Each is
 * bounded, stays on this machine, and prints one line a round.
 */
package isokinon.bench.campaign;
