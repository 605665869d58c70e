/** Reads sheets from YAML and JSON and tells everything that is wrong with them. */
package isokinon.core.sheet.reading;
