/** The shop's next twelve months, played many times from what is believed of its pumps. */
package isokinon.server.work.year;
