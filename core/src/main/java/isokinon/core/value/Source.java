package isokinon.core.value;

/**
 * Where the values of a joint, a limit or a test of a sheet come from.
 *
 * @param kind who says them
 * @param page the page of the maker's manual they stand on; empty where they are not from there
 */
public record Source(Kind kind, String page) {

  /** Nobody has confirmed them. */
  public static final Source STARTING = new Source(Kind.STARTING, "");

  /** Who says a value. */
  public enum Kind implements Code {
    /** Plausible for such a pump, and no more: to be overwritten with the maker's. */
    STARTING,
    /** A table for size and material, not made for this pump. */
    TABLE,
    /** The maker's manual, which the sheet names. */
    MANUAL
  }

  /** From this page of the manual. */
  public static Source manual(String page) {
    return new Source(Kind.MANUAL, page);
  }
}
