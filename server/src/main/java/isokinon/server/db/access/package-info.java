/** PINs, badges, and who is signed in where. */
package isokinon.server.db.access;
