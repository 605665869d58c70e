/** Own rows, wet kits, and what was seen of materials. */
package isokinon.server.db.materials;
