package isokinon.core.sheet;

import isokinon.core.value.Code;

/** The families of constructions a sheet can belong to. */
public enum Family implements Code {
  AIR_DIAPHRAGM,
  LINEAR_DIAPHRAGM,
  OIL_DIAPHRAGM,
  PERISTALTIC,
  PROGRESSING_CAVITY,
  MAGNETIC_DRIVE,
  ROTARY_LOBE,
  MIXER_DRIVE
}
