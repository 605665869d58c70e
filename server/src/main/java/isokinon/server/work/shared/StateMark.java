package isokinon.server.work.shared;

import isokinon.core.sheet.Part;
import isokinon.core.value.Code;

/** How a part, a pump or a finding stands, in the few marks that the screens draw. */
public enum StateMark implements Code {
  UNKNOWN,
  SOUND,
  WATCH,
  RENEW,
  RENEWED,
  BENCH;

  /** The mark of a verdict on a part. */
  public static StateMark of(Part.Verdict verdict) {
    return switch (verdict) {
      case SOUND -> SOUND;
      case WATCH -> WATCH;
      case RENEW -> RENEW;
    };
  }
}
