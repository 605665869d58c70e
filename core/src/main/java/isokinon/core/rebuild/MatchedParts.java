package isokinon.core.rebuild;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Parts that return to the place they came from. A place is a part id, with {@code #1}, {@code #2}
 * and so on where the pump holds several of it; the piece that came from there has the same name.
 */
public final class MatchedParts {

  private MatchedParts() {}

  /** Places that {@code step} fills with matched parts of which the pump holds another alike. */
  static List<String> places(Sheet sheet, String step) {
    return sheet.step(step).stream()
        .flatMap(s -> s.frees().stream())
        .flatMap(id -> sheet.part(id).stream())
        .filter(p -> p.matched() && group(sheet, p).size() > 1)
        .flatMap(p -> placesOf(p).stream())
        .toList();
  }

  /** Places that {@code step} fills with matched parts that go back, not renewed ones. */
  public static List<String> toPlace(Rebuild rebuild, String step) {
    Set<String> renewing = Set.copyOf(rebuild.renewing());
    return places(rebuild.sheet(), step).stream()
        .filter(place -> !renewing.contains(partOf(place)))
        .toList();
  }

  /**
   * Pieces on the tray that look as if they could go to {@code place}. A piece is on the tray as
   * long as it is in no place, also where another one went to its own.
   */
  public static List<String> candidates(Rebuild rebuild, String place) {
    Sheet sheet = rebuild.sheet();
    Set<String> renewing = Set.copyOf(rebuild.renewing());
    Set<String> off = rebuild.off();
    List<String> pieces = new ArrayList<>();
    sheet
        .part(partOf(place))
        .ifPresent(
            p ->
                group(sheet, p).stream()
                    .filter(
                        piece -> off.contains(partOf(piece)) || rebuild.placed().containsKey(piece))
                    .filter(piece -> !renewing.contains(partOf(piece)))
                    .filter(piece -> !rebuild.placed().containsValue(piece))
                    .forEach(pieces::add));
    return pieces;
  }

  /** Why {@code piece} must not go to {@code place}; empty where it may. */
  public static Optional<String> refusal(Sheet sheet, String place, String piece) {
    Optional<Part> home = sheet.part(partOf(place));
    Optional<Part> held = sheet.part(partOf(piece));
    if (home.isEmpty() || held.isEmpty() || !group(sheet, home.get()).contains(piece)) {
      return Optional.of("That is not a part that goes here.");
    }
    boolean alike = !home.get().same().isEmpty() && home.get().same().equals(held.get().same());
    return place.equals(piece) || alike
        ? Optional.empty()
        : Optional.of(
            "This is "
                + name(sheet, piece)
                + ", the place is that of "
                + name(sheet, place)
                + ". "
                + home.get().because()
                + ".");
  }

  /** What a place or the piece from there is called. */
  public static String name(Sheet sheet, String place) {
    String number = place.contains("#") ? " " + place.substring(place.indexOf('#') + 1) : "";
    return sheet.part(partOf(place)).map(Part::name).orElse(place) + number;
  }

  /** The part a place belongs to. */
  public static String partOf(String place) {
    return place.contains("#") ? place.substring(0, place.indexOf('#')) : place;
  }

  private static List<String> placesOf(Part part) {
    List<String> places = new ArrayList<>();
    for (int i = 1; i <= part.count(); i++) {
      places.add(part.count() == 1 ? part.id() : part.id() + "#" + i);
    }
    return places;
  }

  private static List<String> group(Sheet sheet, Part part) {
    return sheet.parts().stream()
        .filter(
            p ->
                p.id().equals(part.id())
                    || (!part.like().isEmpty() && part.like().equals(p.like())))
        .flatMap(p -> placesOf(p).stream())
        .toList();
  }
}
