package isokinon.core.material;

import isokinon.core.value.Code;

/** What an attack by a fluid looks like, as a verb: the fluid "swells" the material. */
public enum Effect implements Code {
  SWELLS,
  SOFTENS,
  CRACKS,
  HARDENS,
  STIFFENS,
  DISSOLVES,
  STRESS_CRACKS,
  LEACHES,
  PITS,
  OXIDISES,
  HYDROLYSES,
  RUSTS,
  AGES
}
