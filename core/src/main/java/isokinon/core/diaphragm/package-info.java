/** Diaphragm pumps: what the proof of air-driven, linear and oil-backed ones computes. */
package isokinon.core.diaphragm;
