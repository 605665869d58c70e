/** Puts steps in an order: with the fewest changes, exactly where that is within reach. */
package isokinon.core.plan.order;
