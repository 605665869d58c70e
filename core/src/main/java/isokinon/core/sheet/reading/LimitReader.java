package isokinon.core.sheet.reading;

import isokinon.core.sheet.Part;

/** Reads from which reading on a part is watched or renewed. */
final class LimitReader {

  private LimitReader() {}

  static Part.Limit limit(Fields f) {
    Part.Limit limit =
        new Part.Limit(
            f.required("measure"),
            f.required("unit"),
            edge(f),
            f.inner("above", LimitReader::edge),
            f.optionalNumber("new"),
            f.source());
    limit.above().ifPresent(above -> checkBoth(f, limit, above));
    return limit;
  }

  private static Part.Edge edge(Fields f) {
    return new Part.Edge(f.number("watch", 0, -1e6, 1e6), f.number("renew", 0, -1e6, 1e6));
  }

  /** With an edge above, the first is the one below, and what is sound lies between them. */
  private static void checkBoth(Fields f, Part.Limit limit, Part.Edge above) {
    if (limit.eitherWay()) {
      f.fault("above", "a change counts both ways already");
    } else if (!limit.edge().falls() || above.falls()) {
      f.fault("above", "below, renew is under watch; above, it is over watch");
    } else if (above.watch() <= limit.edge().watch()) {
      f.fault("above", "nothing is sound between the watch below and the watch above");
    } else if (limit
        .asNew()
        .filter(n -> n < limit.edge().watch() || n > above.watch())
        .isPresent()) {
      f.fault("new", "what is new lies between the watch below and the watch above");
    }
  }
}
