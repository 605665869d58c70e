/** The data folder: looked at before anything else starts, and left in order at the end. */
package isokinon.server.folder;
