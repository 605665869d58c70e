/** Peristaltic pumps: the pinch of the tube and what a turn delivers. */
package isokinon.core.peristaltic;
