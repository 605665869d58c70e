/** The operations of the set-up of a shop. */
package isokinon.server.http.setup;
