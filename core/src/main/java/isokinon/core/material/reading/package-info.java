/** Reads the open tables of the material library. */
package isokinon.core.material.reading;
