/** Measurements. Nothing here is a test: figures are printed, never asserted. */
package isokinon.bench;
