/** HTTP: shapes, controllers, problem details. */
package isokinon.server.http;
