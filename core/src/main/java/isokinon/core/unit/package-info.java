/** The units in which a shop is shown what sheets, library and records hold in their own. */
package isokinon.core.unit;
