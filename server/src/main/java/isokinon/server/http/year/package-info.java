/** The year ahead over HTTP. */
package isokinon.server.http.year;
