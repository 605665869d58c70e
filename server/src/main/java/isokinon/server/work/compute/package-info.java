/** The stateless compute interface over the rules of core. */
package isokinon.server.work.compute;
