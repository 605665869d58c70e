/** How long, how many and how large what is sent may be: declared once, enforced and described. */
package isokinon.server.http.bounds;
