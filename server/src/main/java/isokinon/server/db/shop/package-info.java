/** What a shop is and has: people, instruments, sheets of its own, settings. */
package isokinon.server.db.shop;
