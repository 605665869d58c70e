/** Names that columns of the set-up may hold, and what is nearest to a word that is none. */
package isokinon.server.work.setup.names;
