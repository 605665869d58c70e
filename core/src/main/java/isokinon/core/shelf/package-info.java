/** Shelf life of elastomers by cure date. */
package isokinon.core.shelf;
