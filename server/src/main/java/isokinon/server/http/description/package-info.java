/** The API description, and how closed sets go over the wire. */
package isokinon.server.http.description;
