/**
 * Which acts may be recorded in the state a rebuild is in, and the sentence for those that may not.
 */
package isokinon.core.rules;
