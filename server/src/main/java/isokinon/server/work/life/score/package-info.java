/** How often forecasts were right, and what was advised against what was done. */
package isokinon.server.work.life.score;
