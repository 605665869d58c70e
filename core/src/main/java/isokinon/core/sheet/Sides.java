package isokinon.core.sheet;

import isokinon.core.value.Code;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The two sides of a pump that are opened and closed by like steps. Where both are open, side A is
 * closed first; where one is, that one closes last, whichever letter it has.
 *
 * @param id kebab-case, unique within the sheet; a list of steps names a side as {@code
 *     id.closes-first} or {@code id.closes-last}
 * @param a steps of side A, the closing one last
 * @param b steps of side B, the closing one last
 */
public record Sides(String id, List<String> a, List<String> b) {

  /** When a side is closed. */
  public enum Closes implements Code {
    /** While the other side still stands open. */
    CLOSES_FIRST,
    /** With nothing left open on the other side. */
    CLOSES_LAST
  }

  /** Copies its lists. */
  public Sides {
    a = List.copyOf(a);
    b = List.copyOf(b);
  }

  /** Steps of the side that closes then, in a plan of {@code planned}; empty where none does. */
  public List<String> steps(Closes when, Collection<String> planned) {
    boolean openA = a.stream().anyMatch(planned::contains);
    boolean openB = b.stream().anyMatch(planned::contains);
    if (when == Closes.CLOSES_LAST) {
      return openB ? b : openA ? a : List.of();
    }
    return openA && openB ? a : List.of();
  }

  /** What a list of steps may name: {@code id.closes-first}, {@code id.closes-last}. */
  public List<String> names() {
    return Stream.of(Closes.values()).map(this::name).toList();
  }

  /** How a list of steps names the side that closes then. */
  public String name(Closes when) {
    return id + "." + when.code();
  }

  /** The steps that a name of one of its ends stands for in a plan; empty where it is none. */
  Optional<List<String>> named(String name, Collection<String> planned) {
    return Arrays.stream(Closes.values())
        .filter(when -> name(when).equals(name))
        .map(when -> steps(when, planned))
        .findFirst();
  }
}
