/** The runs of a shop as they happened: what can have been, how they ended, in which duties. */
package isokinon.core.life.history;
