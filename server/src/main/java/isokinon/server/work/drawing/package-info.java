/** The stack drawing as data: which part stands where, on the pump, in the hand or on the tray. */
package isokinon.server.work.drawing;
