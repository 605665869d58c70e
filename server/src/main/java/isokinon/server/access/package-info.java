/** People and what they may do. */
package isokinon.server.access;
