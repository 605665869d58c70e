/** Hour and stroke counters: what their readings add up to. */
package isokinon.core.counter;
