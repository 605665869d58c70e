/** Who asks, what they may do, and what a browser is told about it. */
package isokinon.server.http.security;
