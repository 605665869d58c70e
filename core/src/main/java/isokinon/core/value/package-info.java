/** Values that come in from outside, checked before anything is computed with them. */
package isokinon.core.value;
