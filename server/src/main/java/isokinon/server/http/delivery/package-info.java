/** How screens are given out, and how long a body may be. */
package isokinon.server.http.delivery;
