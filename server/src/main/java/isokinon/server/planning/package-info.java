/** Places jobs in the diary with a solver; knows neither the database nor the screens. */
package isokinon.server.planning;
