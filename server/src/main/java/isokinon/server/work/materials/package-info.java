/** The material library as people read and write it, and what was seen here. */
package isokinon.server.work.materials;
