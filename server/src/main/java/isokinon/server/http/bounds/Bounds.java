package isokinon.server.http.bounds;

import isokinon.core.photograph.PhotographMark;
import jakarta.validation.constraints.Size;
import java.lang.reflect.RecordComponent;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.annotation.AnnotatedElementUtils;

/**
 * The bounds of every field of every request. A field is as long as its own {@link Size} says; else
 * as its name says, because fields of one name go into columns of one width; else as all others
 * are. So there is no field without bounds.
 */
final class Bounds {

  /** Characters of a text that nothing else is said of. */
  private static final int TEXT = 200;

  /** Entries of a list or a map that nothing else is said of. */
  static final int ENTRIES = 2_000;

  /** From where to where a number goes, both ends in it. */
  record Span(double from, double to) {

    boolean holds(double value) {
      return value >= from && value <= to;
    }
  }

  /** No quantity of a pump shop is larger, whatever its unit. */
  private static final Span ANY = new Span(-1e12, 1e12);

  private static final Map<String, Span> NUMBERS =
      Map.of(
          "price", new Span(0, 1e6),
          "hours", new Span(0, 1e6),
          "count", new Span(0, 1e6),
          "amount", new Span(0, 1e6),
          "packs", new Span(0, 1e4),
          "day", new Span(0, 1e4),
          "minute", new Span(0, 1440));

  private static final Map<String, Integer> OF_NAME =
      Map.ofEntries(
          Map.entry("initials", 4),
          Map.entry("device", 40),
          Map.entry("pin", 100),
          Map.entry("current", 100),
          Map.entry("badge", 100),
          Map.entry("code", 20),
          Map.entry("person", 4),
          Map.entry("pump", 20),
          Map.entry("tag", 20),
          Map.entry("lot", 20),
          Map.entry("place", 20),
          Map.entry("role", 20),
          Map.entry("material", 20),
          Map.entry("gauge", 20),
          Map.entry("unit", 20),
          Map.entry("serial", 40),
          Map.entry("label", PhotographMark.MOST_LABEL),
          Map.entry("consumable", 40),
          Map.entry("cause", 40),
          Map.entry("fault", 40),
          Map.entry("hardware", 60),
          Map.entry("kit", 60),
          Map.entry("duty", 60),
          Map.entry("sheet", 80),
          Map.entry("part", 80),
          Map.entry("round", 80),
          // the longest text of a table of the set-up
          Map.entry("values", 600),
          Map.entry("seen", 600),
          Map.entry("note", 400),
          Map.entry("because", 400));

  private Bounds() {}

  /** Most characters of a text, or entries of a list, that a field of a record says itself. */
  private static Optional<Integer> said(RecordComponent field) {
    return Optional.ofNullable(
            AnnotatedElementUtils.findMergedAnnotation(field.getAccessor(), Size.class))
        .map(Size::max);
  }

  /** Most characters of a text. */
  static int text(RecordComponent field) {
    return said(field).orElseGet(() -> text(field.getName()));
  }

  /** Most characters of a text of this name, where its field says nothing itself. */
  static int text(String name) {
    return OF_NAME.getOrDefault(name, TEXT);
  }

  /** From where to where a number of this name goes. */
  static Span number(String name) {
    return NUMBERS.getOrDefault(name, ANY);
  }

  /** Most entries of a list or a map. */
  static int entries(RecordComponent field) {
    return said(field).orElse(ENTRIES);
  }
}
