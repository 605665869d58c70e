package isokinon.core.stock;

import isokinon.core.value.Code;

/** How a part was found that was kept. */
public enum KeptCondition implements Code {
  SOUND,
  WATCH
}
