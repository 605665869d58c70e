/** Which cause or fault it is: base rates, evidence by Bayes, and the next best test. */
package isokinon.core.diagnosis;
