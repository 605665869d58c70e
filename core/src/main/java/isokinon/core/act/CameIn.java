package isokinon.core.act;

import isokinon.core.value.Code;

/** Why a pump came in. */
public enum CameIn implements Code {
  /** Its interval was up. */
  DUE,
  /** It gave out: what wears in it has failed, whether anybody judges it or not. */
  FAILED,
  /** Something was seen or heard; it still did its work. */
  SYMPTOM,
  /** It was opened for another reason, as when its line stood. */
  CHANCE
}
