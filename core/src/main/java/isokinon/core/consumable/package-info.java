/**
 * Grease, oil, locker and the like: what a job uses, what lies on the shelf, which lot goes first.
 */
package isokinon.core.consumable;
