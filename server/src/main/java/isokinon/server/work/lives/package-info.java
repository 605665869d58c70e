/** Lives of wear parts, forecasts, due days, policies, renewals. */
package isokinon.server.work.lives;
