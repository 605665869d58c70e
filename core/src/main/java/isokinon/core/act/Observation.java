package isokinon.core.act;

import isokinon.core.value.Code;

/**
 * Something that was observed of a pump before it was stripped.
 *
 * @param kind what the id names, and how it was answered
 * @param id symptom or test of the diagnosis tables
 */
public record Observation(Kind kind, String id) {

  /** How something was observed. */
  public enum Kind implements Code {
    /** The symptom was seen. */
    SEEN,
    /** The symptom was looked for and not seen. */
    NOT,
    /** The test was answered with yes. */
    YES,
    /** The test was answered with no. */
    NO
  }
}
