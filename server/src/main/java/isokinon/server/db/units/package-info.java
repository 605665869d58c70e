/** Units that stand in no position. */
package isokinon.server.db.units;
