/** Grease, oil, locker and the like: what lies on the shelf, what jobs use, what to order. */
package isokinon.server.work.consumables;
