/**
 * When to renew: what an age, an inspection or a failure costs in the long run, and the best age.
 */
package isokinon.core.renewal;
