/** A part in hand: what it reads and shows, why it wore, when it is looked at again. */
package isokinon.server.work.inspection;
