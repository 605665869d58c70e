package isokinon.core.counter;

import isokinon.core.sheet.Family;
import isokinon.core.value.Code;
import java.util.Locale;

/** The count that drives the wear of a pump's parts: their real age. */
public enum WearCount implements Code {
  /** Running hours. */
  HOURS,
  /** Strokes of an air motor or a crank: each flexes a diaphragm once. */
  STROKES,
  /** Flexes of a diaphragm by a magnet, one for each mains cycle. */
  FLEXES,
  /** Passes of a roller or shoe over the tube. */
  PASSES,
  /** Turns of a rotor. */
  TURNS;

  /** What drives the wear of a family of pumps. */
  public static WearCount of(Family family) {
    return switch (family) {
      case AIR_DIAPHRAGM, OIL_DIAPHRAGM -> STROKES;
      case LINEAR_DIAPHRAGM -> FLEXES;
      case PERISTALTIC -> PASSES;
      case PROGRESSING_CAVITY, ROTARY_LOBE -> TURNS;
      case MAGNETIC_DRIVE, MIXER_DRIVE -> HOURS;
    };
  }

  /** As it is written in tables. */
  @Override
  public String code() {
    return name().toLowerCase(Locale.ROOT);
  }
}
