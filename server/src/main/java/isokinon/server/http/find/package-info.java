/** The find box. */
package isokinon.server.http.find;
