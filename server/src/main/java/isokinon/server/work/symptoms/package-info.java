/** Before the strip: what it may be, and the next best test. */
package isokinon.server.work.symptoms;
