/** A job worked out ahead, for a tablet that goes where the server is not. */
package isokinon.server.work.ahead;
