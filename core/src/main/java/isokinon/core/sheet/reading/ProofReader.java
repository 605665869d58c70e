package isokinon.core.sheet.reading;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.MissSymptoms;
import isokinon.core.sheet.Sheet;

/** Reads the tests after building. */
final class ProofReader {

  private ProofReader() {}

  static Sheet.ProofTest proof(Fields f) {
    Fields.Limits limits = f.limits();
    return new Sheet.ProofTest(
        f.required("id"),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.text("unit"),
        limits.min(),
        limits.max(),
        f.integer("clockSeconds", 0, 0, 1_000_000),
        f.wordOrWords("backTo"),
        f.inner(
            "runs",
            r ->
                new Sheet.Runs(
                    DriveReader.needed(r, "turns", 1e-3, 1e6),
                    DriveReader.needed(r, "setMl", 1e-6, 1e9),
                    r.number("withinPct", 1, 0.01, 100))),
        f.optionalNumber("rpm"),
        f.number("againHours", 0, 0, 10_000),
        f.flag("afterWaits"),
        f.flag("beforeStart"),
        f.words("hazards"),
        f.words("cautions"),
        shows(f),
        f.source(),
        HandlingReader.onlyFor(f));
  }

  /** Symptoms of a miss: a list for either side, or one list under and one over the limits. */
  private static MissSymptoms shows(Fields f) {
    if (!f.has("shows")) {
      return MissSymptoms.NOTHING;
    }
    return f.isObject("shows")
        ? f.inner("shows", s -> new MissSymptoms(s.words("under"), s.words("over"))).orElseThrow()
        : new MissSymptoms(f.words("shows"), f.words("shows"));
  }
}
