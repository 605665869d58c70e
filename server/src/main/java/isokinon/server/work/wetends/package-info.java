/** The choice of a wet end. */
package isokinon.server.work.wetends;
