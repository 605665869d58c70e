package isokinon.core.sheet.reading;

import isokinon.core.sheet.Part;
import java.util.List;

/** Reads which readings of several parts are held against each other. */
final class ComparedReader {

  private ComparedReader() {}

  static Part.Compared compared(Fields f) {
    boolean spread = f.has("spread");
    if (spread == f.has("difference")) {
      f.fault(
          "", "readings are compared by their \"difference\" or their \"spread\", by one of them");
    }
    List<Part.Measured> of =
        (spread ? f.words("spread") : f.words("difference"))
            .stream().map(ComparedReader::measured).toList();
    if (spread ? of.size() < 2 : of.size() != 2) {
      f.fault(
          spread ? "spread" : "difference",
          spread ? "a spread is one of two parts or more" : "a difference is one of two parts");
    }
    double watch = f.number("watch", 0, -1e6, 1e6);
    double renew = f.number("renew", 0, -1e6, 1e6);
    if (renew < watch) {
      f.fault("renew", "renew is under watch");
    }
    return new Part.Compared(
        f.required("id"),
        f.wanted("title", ""),
        spread ? Part.Held.SPREAD : Part.Held.DIFFERENCE,
        of,
        f.required("unit"),
        watch,
        renew);
  }

  /** A measure of a part, written {@code part.measure}. */
  private static Part.Measured measured(String word) {
    int dot = word.lastIndexOf('.');
    return dot < 0
        ? new Part.Measured(word, "")
        : new Part.Measured(word.substring(0, dot), word.substring(dot + 1));
  }
}
