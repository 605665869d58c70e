/** A job worked out ahead, over HTTP. */
package isokinon.server.http.ahead;
