/** Little of something else in a fluid, where the little decides. */
package isokinon.core.material.trace;
