/**
 * What can come next at a job, worked out before it comes: so that a tablet without the server goes
 * on by looking up. No rule stands here; every answer is one of {@link isokinon.core.rules}.
 */
package isokinon.core.ahead;
