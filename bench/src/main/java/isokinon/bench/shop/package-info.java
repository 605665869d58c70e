/** The packaged application as a process that is measured, filled or attacked. */
package isokinon.bench.shop;
