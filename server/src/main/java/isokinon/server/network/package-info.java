/**
 * How a shop's own network reaches the server: names, certificates, the plain door that redirects.
 */
package isokinon.server.network;
