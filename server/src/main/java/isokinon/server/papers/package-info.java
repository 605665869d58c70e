/** Paper: what is printed. */
package isokinon.server.papers;
