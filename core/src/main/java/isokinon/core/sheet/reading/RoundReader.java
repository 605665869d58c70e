package isokinon.core.sheet.reading;

import isokinon.core.sheet.Round;

/** Reads the upkeep that comes round. */
final class RoundReader {

  private RoundReader() {}

  static Round round(Fields f) {
    double days = f.number("everyDays", 0, 0, 10_000);
    double hours = f.number("everyHours", 0, 0, 1_000_000);
    if (days == 0 && hours == 0) {
      f.fault("everyDays", "a round comes again after days or after running hours");
    }
    return new Round(
        f.required("id"),
        f.wanted("title", ""),
        f.required("say"),
        days,
        hours,
        f.number("minutes", 0, 0, 10_000),
        f.words("hazards"),
        f.words("cautions"),
        f.each("checks", HandlingReader::check),
        HandlingReader.onlyFor(f));
  }
}
