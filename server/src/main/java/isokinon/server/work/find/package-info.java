/** Finding anything of the shop by a word or by the code on its label. */
package isokinon.server.work.find;
