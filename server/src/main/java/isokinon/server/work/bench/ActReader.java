package isokinon.server.work.bench;

import isokinon.core.act.GaugeUse;
import isokinon.core.act.Measurement;
import isokinon.core.act.Reading;
import isokinon.core.act.StepAct;
import isokinon.core.diaphragm.ShuttleGaps;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.shop.GaugeRow;
import isokinon.server.work.instruments.GaugeRack;
import isokinon.server.work.instruments.Readings;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.util.Optional;

/** Makes numbers of what was typed, in the units that the sheet asks for, and knows the gauges. */
final class ActReader {

  private static final String VALUE = "value";
  private static final String NM = "N·m";

  private final Rebuild rebuild;
  private final Sheet sheet;
  private final GaugeRack rack;

  ActReader(Rebuild rebuild, GaugeRack rack) {
    this.rebuild = rebuild;
    this.sheet = rebuild.sheet();
    this.rack = rack;
  }

  /**
   * The reading of an energy at the gate; empty where none is given, which confirms it. A field
   * that was left empty confirms nothing.
   */
  Optional<Reading> hazard(String hazard, TypedReading given) {
    Optional<Sheet.Hazard> asked = sheet.hazard(hazard);
    Optional<Reading> reading = read(given, asked.map(Sheet.Hazard::unit), VALUE);
    boolean number = asked.filter(h -> h.kind() == Handling.Answer.NUMBER).isPresent();
    if (number && given != null && reading.isEmpty()) {
      throw RequestProblem.notNow(VALUE, "Read the gauge: " + asked.get().ask() + ".");
    }
    return reading;
  }

  /** The reading of a test; empty where nothing was typed. */
  Optional<Reading> test(String test, TypedReading given) {
    return read(given, sheet.proofTest(test).map(Sheet.ProofTest::unit), VALUE);
  }

  /** A reading of a part; a fault of it stands at its measure. */
  Measurement measurement(String part, TypedMeasurement given) {
    Optional<String> unit =
        sheet.part(part).flatMap(p -> p.limit(given.measure())).map(Part.Limit::unit);
    Reading reading =
        read(given.reading(), unit, given.measure())
            .orElseThrow(
                () -> RequestProblem.notNow(given.measure(), "Type what the gauge shows."));
    return new Measurement(given.measure(), reading, gauge(given.reading()));
  }

  /**
   * The answer to a check. Of a pair of readings the difference is recorded, and both stand in the
   * note.
   */
  StepAct.Checked checked(AskedStepAct.Checked asked) {
    Optional<Handling.Check> check =
        sheet.handling(asked.step()).flatMap(h -> h.check(asked.check()));
    Optional<String> unit = check.map(Handling.Check::unit);
    Optional<Reading> reading = read(asked.reading(), unit, VALUE);
    Optional<Reading> right = read(asked.right(), unit, VALUE);
    return reading.isPresent()
            && right.isPresent()
            && check.filter(Handling.Check::pair).isPresent()
        ? evened(asked, check.get(), reading.get().value(), right.get().value())
        : new StepAct.Checked(asked.step(), asked.check(), reading, "");
  }

  private static StepAct.Checked evened(
      AskedStepAct.Checked asked, Handling.Check check, double left, double right) {
    try {
      ShuttleGaps gaps = ShuttleGaps.of(left, right, check.max().orElse(ShuttleGaps.USUAL_MM));
      String both =
          "left " + Text.plain(left) + ", right " + Text.plain(right) + " " + check.unit();
      String move =
          gaps.even()
              ? ""
              : ": move it "
                  + Text.plain(Math.abs(gaps.shiftMm()))
                  + " mm to the "
                  + (gaps.shiftMm() > 0 ? "right" : "left");
      return new StepAct.Checked(
          asked.step(),
          asked.check(),
          Optional.of(new Reading(Math.abs(gaps.differenceMm()), check.unit())),
          both + move);
    } catch (IllegalArgumentException e) {
      throw RequestProblem.invalid(VALUE, e.getMessage());
    }
  }

  /** A torque; where a click wrench gave way, the setting of the pass. */
  StepAct.TorqueRead torqueRead(AskedStepAct.TorqueRead asked) {
    double nm =
        read(asked.reading(), Optional.of(NM), VALUE)
            .map(Reading::value)
            .or(() -> asked.clicked() ? setting(asked) : Optional.empty())
            .orElseThrow(
                () -> RequestProblem.notNow(VALUE, "Type what the wrench shows, in " + NM + "."));
    return new StepAct.TorqueRead(
        asked.step(), asked.pass(), asked.fastener(), nm, asked.clicked(), gauge(asked.reading()));
  }

  private Optional<Double> setting(AskedStepAct.TorqueRead asked) {
    int percent =
        rebuild
            .currentStep()
            .flatMap(rebuild::torque)
            .filter(t -> asked.pass() >= 1 && asked.pass() <= Math.max(t.fullPass(), t.lastRound()))
            .map(t -> t.percent(asked.pass()))
            .orElse(100);
    return sheet.fastening(asked.step()).map(f -> f.targetNm() * percent / 100);
  }

  /** The gauge of a reading, and whether its calibration has run out. */
  Optional<GaugeUse> gauge(TypedReading given) {
    return Optional.ofNullable(given)
        .map(TypedReading::gauge)
        .filter(g -> !g.isBlank())
        .map(
            id -> {
              GaugeRow gauge = rack.gauge(id);
              return new GaugeUse(gauge.id(), rack.overdue(gauge));
            });
  }

  private static Optional<Reading> read(TypedReading given, Optional<String> asked, String path) {
    if (given == null || given.typed() == null || given.typed().isBlank()) {
      return Optional.empty();
    }
    String unit = asked.orElse("");
    return Optional.of(
        new Reading(
            Readings.parse(given.typed(), given.unit() == null ? "" : given.unit(), unit, path),
            unit));
  }
}
