/** From a look and a gauge to a decision: the outcome of a part, and when to look again. */
package isokinon.core.inspect;
