/** What the application takes as a shop grows. */
package isokinon.bench.growth;
