/** One rebuild at the bench: what was done, what it means, what may come next. */
package isokinon.core.rebuild;
