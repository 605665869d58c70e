/**
 * The year ahead, played many times: which sets fail and are renewed, who works on them when, which
 * kits are there, and what it comes to.
 */
package isokinon.core.year;
