/** What happens at a job, as it happens, over HTTP. */
package isokinon.server.http.live;
