/** The demo: the made-up Skerrow Mill, its pumps and three years of their history. */
package isokinon.server.demo;
