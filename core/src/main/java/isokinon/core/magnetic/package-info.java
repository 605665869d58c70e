/** Magnetic drives: what torque the duty takes and what the magnets still carry. */
package isokinon.core.magnetic;
