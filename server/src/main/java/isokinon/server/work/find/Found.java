package isokinon.server.work.find;

import isokinon.core.value.Code;

/**
 * Something that was found.
 *
 * @param kind of what kind it is
 * @param code what is on its label, or how it is written
 * @param title what it is called
 * @param beside what tells it from others
 * @param leads the tag, number or word under which it is opened
 * @param named whether the code is what was asked for, letter by letter
 */
public record Found(
    Kind kind, String code, String title, String beside, String leads, boolean named) {

  /** Of what kind something is. */
  public enum Kind implements Code {
    PUMP,
    UNIT,
    /** A unit that stands in no position. */
    SPARE_UNIT,
    LOT,
    KEPT_PART,
    REBUILD,
    PERSON,
    FLUID,
    MATERIAL,
    SHEET,
    GAUGE,
    WRENCH
  }
}
