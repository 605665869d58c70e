/** Units that change places: with one in another position, or with one from the shelf. */
package isokinon.server.work.units;
