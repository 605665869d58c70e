/** Progressing cavity pumps: how a rotor fits its stator. */
package isokinon.core.cavity;
