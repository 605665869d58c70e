/** Choosing the wet end: materials rated against all fluids of a duty. */
package isokinon.core.wetend;
