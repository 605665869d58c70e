/** The shelf: what is there, what will be asked for, what to buy. */
package isokinon.server.work.stores;
