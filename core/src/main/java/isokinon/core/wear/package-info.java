/** Wear: what two readings say of a rate, and when a limit will be reached. */
package isokinon.core.wear;
