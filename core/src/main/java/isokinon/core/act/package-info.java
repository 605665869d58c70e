/**
 * What people do at the bench, each kind of act a record of its own, and the stages of a job. Acts
 * in their order are all that is stored of a rebuild; {@link isokinon.core.rebuild} folds them.
 */
package isokinon.core.act;
