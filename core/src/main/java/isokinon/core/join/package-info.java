/**
 * Two stories of one job, told apart while a tablet was without the server, put together into one.
 */
package isokinon.core.join;
