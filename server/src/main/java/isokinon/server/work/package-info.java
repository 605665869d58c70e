/** Use cases: what the screens and other programs ask for, in transactions over the store. */
package isokinon.server.work;
