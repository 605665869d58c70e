package isokinon.core.wetend;

import isokinon.core.value.Code;

/** As what a fluid is in a pump. */
public enum FluidUse implements Code {
  PROCESS,
  CLEANING,
  STANDING
}
