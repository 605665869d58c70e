package isokinon.core.sheet;

import java.util.List;

/**
 * What a job follows of its sheet: a way of each school and variant, and the material of the
 * wearing part as it stands and as it goes in.
 *
 * @param ways ways chosen; a school not named follows its usual way
 * @param stands material in the pump when it came, ISO code or alloy; empty where nobody knows it
 * @param goesIn material that goes in; empty where nobody knows it
 */
public record Following(List<String> ways, String stands, String goesIn) {

  /** The usual way of every school, whatever the material. */
  public static final Following USUAL = new Following(List.of(), "", "");

  /** Copies its list. */
  public Following {
    ways = List.copyOf(ways);
  }

  /** These ways, whatever the material. */
  public static Following ways(List<String> ways) {
    return new Following(ways, "", "");
  }
}
