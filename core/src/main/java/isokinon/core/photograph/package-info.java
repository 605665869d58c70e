/** What a photograph of a job is of, what is drawn on it, and how many there may be. */
package isokinon.core.photograph;
