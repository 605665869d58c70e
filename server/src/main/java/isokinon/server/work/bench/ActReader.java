package isokinon.server.work.bench;

import isokinon.core.diaphragm.ShuttleGaps;
import isokinon.core.rebuild.Act;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.server.work.instruments.Readings;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Optional;

/** Makes an act of what was typed: the reading in the unit that the sheet asks for. */
final class ActReader {

  /** Parts the two readings of a pair. */
  private static final String PAIR = "|";

  private ActReader() {}

  /**
   * The act that a request asks for.
   *
   * @param marked its items, with what a wear seen is recorded as
   * @throws RequestProblem where its reading is no reading
   */
  static Act read(ActRequest r, Rebuild rebuild, List<String> marked) {
    Optional<Double> value = Optional.empty();
    String unit = "";
    Optional<Handling.Check> pair =
        check(r, rebuild.sheet()).filter(c -> c.pair() && r.typed().contains(PAIR));
    if (pair.isPresent()) {
      return evened(r, pair.get());
    }
    if (!r.typed().isBlank()) {
      unit = askedUnit(r, rebuild.sheet());
      value = Optional.of(Readings.parse(r.typed(), r.unit(), unit));
    } else if (r.kind() == Act.Kind.TORQUE_READ && r.text().equals("clicked")) {
      unit = "N·m";
      value = fastening(r, rebuild.sheet()).map(f -> setting(f, r.pass(), rebuild));
    }
    return new Act(
        r.kind(),
        r.kind() == Act.Kind.JUDGED || r.kind() == Act.Kind.MEASURED ? r.measure() : r.step(),
        r.subject(),
        r.pass(),
        r.fastener(),
        value,
        unit,
        r.text(),
        marked);
  }

  /** A pair of readings, left and right: their difference is recorded, both stand in the text. */
  private static Act evened(ActRequest r, Handling.Check check) {
    String left = r.typed().substring(0, r.typed().indexOf(PAIR));
    String right = r.typed().substring(r.typed().indexOf(PAIR) + PAIR.length());
    double l = Readings.parse(left, r.unit(), check.unit());
    double rt = Readings.parse(right, r.unit(), check.unit());
    try {
      ShuttleGaps gaps = ShuttleGaps.of(l, rt, check.max().orElse(ShuttleGaps.USUAL_MM));
      String both = "left " + Text.plain(l) + ", right " + Text.plain(rt) + " " + check.unit();
      String move =
          gaps.even()
              ? ""
              : ": move it "
                  + Text.plain(Math.abs(gaps.shiftMm()))
                  + " mm to the "
                  + (gaps.shiftMm() > 0 ? "right" : "left");
      return Act.of(r.kind(), r.step(), r.subject())
          .reading(Math.abs(gaps.differenceMm()), check.unit())
          .saying(both + move);
    } catch (IllegalArgumentException e) {
      throw RequestProblem.invalid("value", e.getMessage());
    }
  }

  private static Optional<Handling.Check> check(ActRequest r, Sheet sheet) {
    return sheet.handling(r.step()).stream()
        .flatMap(h -> h.checks().stream())
        .filter(c -> r.kind() == Act.Kind.CHECKED && c.id().equals(r.subject()))
        .findFirst();
  }

  private static double setting(Handling.Fastening joint, int pass, Rebuild rebuild) {
    int percent =
        rebuild
            .currentStep()
            .flatMap(rebuild::torque)
            .filter(t -> pass >= 1 && pass <= Math.max(t.fullPass(), t.lastRound()))
            .map(t -> t.percent(pass))
            .orElse(100);
    return joint.targetNm() * percent / 100;
  }

  private static Optional<Handling.Fastening> fastening(ActRequest r, Sheet sheet) {
    return sheet.fastening(r.step());
  }

  private static String askedUnit(ActRequest r, Sheet sheet) {
    return switch (r.kind()) {
      case TORQUE_READ -> "N·m";
      case CHECKED -> check(r, sheet).map(Handling.Check::unit).orElse("");
      case PROVED_SAFE ->
          sheet.hazards().stream()
              .filter(h -> h.id().equals(r.subject()))
              .map(Sheet.Hazard::unit)
              .findFirst()
              .orElse("");
      case PROVED ->
          sheet.proof().stream()
              .filter(t -> t.id().equals(r.subject()))
              .map(Sheet.ProofTest::unit)
              .findFirst()
              .orElse("");
      case JUDGED, MEASURED ->
          sheet.part(r.subject()).stream()
              .flatMap(p -> p.limits().stream())
              .filter(l -> l.measure().equals(r.measure()))
              .map(l -> l.unit())
              .findFirst()
              .orElse("");
      default -> "";
    };
  }
}
