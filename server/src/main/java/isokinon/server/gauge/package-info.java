/** Reading devices: the port they are read through, and simulated stand-ins that ship with it. */
package isokinon.server.gauge;
