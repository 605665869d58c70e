/** The Life place: what history says of one group of wear parts. */
package isokinon.server.work.life;
