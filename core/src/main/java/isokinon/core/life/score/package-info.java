/** Forecasts held against what came, and what was advised against what was done. */
package isokinon.core.life.score;
