/** Looks for rows of the library that cannot be right as they stand. */
package isokinon.core.material.flags;
