/**
 * What the shop goes by: sheets, materials as read, diagnosis tables, kits that can be had, shelf
 * life.
 */
package isokinon.server.work.library;
