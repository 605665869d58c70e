/** Torque: tightening order, wrench setting, wrench choice, clamp force, judging a reading. */
package isokinon.core.torque;
