/** The stateless interface for other programs. */
package isokinon.server.http.compute;
