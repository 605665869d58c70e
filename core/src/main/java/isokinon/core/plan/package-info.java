/** Planning: what must come off, in which order, and how it goes back. */
package isokinon.core.plan;
