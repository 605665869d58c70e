package isokinon.core.life.history;

import isokinon.core.value.Code;

/** How a run of a wear part ended, where it has. */
public enum RunEnd implements Code {
  /** It came out because it could not go on. */
  FAILED,
  /** It came out before it failed. */
  SOUND,
  /** It is in the pump still. */
  RUNNING;

  /** How a finished run ended. */
  public static RunEnd of(boolean failed) {
    return failed ? FAILED : SOUND;
  }
}
