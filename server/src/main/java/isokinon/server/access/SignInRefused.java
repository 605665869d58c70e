package isokinon.server.access;

import isokinon.core.value.Code;
import java.time.Duration;

/** A PIN or badge that opens nothing now, with what to do about it. */
public final class SignInRefused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Why it opens nothing. */
  public enum Why implements Code {
    /** It is another person's, or nobody's. */
    WRONG,
    /** Too many were wrong: the next is tried after a while. */
    WAIT,
    /** Too many were wrong: a lead sets a new one. */
    ASK_A_LEAD,
    /** No PIN was ever set. */
    NONE_SET,
    /** Nobody here has these initials, or has them no more. */
    UNKNOWN
  }

  private final Why why;
  private final String field;
  private final int triesLeft;
  private final Duration wait;

  SignInRefused(Why why, String field, String sentence, int triesLeft, Duration wait) {
    super(sentence);
    this.why = why;
    this.field = field;
    this.triesLeft = triesLeft;
    this.wait = wait;
  }

  /** One machine was wrong about many. */
  public static SignInRefused tooOften() {
    return new SignInRefused(
        Why.WAIT,
        "",
        "Too many were wrong from this device: try again in a minute.",
        0,
        Duration.ofMinutes(1));
  }

  /** Why. */
  public Why why() {
    return why;
  }

  /** The field of the question that it stands at. */
  public String field() {
    return field;
  }

  /** How many more may be wrong before there is a wait. */
  public int triesLeft() {
    return triesLeft;
  }

  /** How long until the next is tried; nothing where it is tried at once. */
  public Duration waits() {
    return wait;
  }
}
