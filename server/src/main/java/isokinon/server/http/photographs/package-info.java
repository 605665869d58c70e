/** Photographs over HTTP. */
package isokinon.server.http.photographs;
