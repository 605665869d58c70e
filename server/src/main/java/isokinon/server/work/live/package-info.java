/** Who has which job open, and what happens at it, told at once. */
package isokinon.server.work.live;
