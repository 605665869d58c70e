/** What of the shop's own records can be found by a word. */
package isokinon.server.db.find;
