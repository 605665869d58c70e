/** The assembly sheet: one pump construction described as open data, read and checked. */
package isokinon.core.sheet;
