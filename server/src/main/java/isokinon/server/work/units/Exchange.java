package isokinon.server.work.units;

import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Roles;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.units.SpareUnitMapper;
import isokinon.server.db.units.SpareUnitRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.PartRuns;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A unit changes places, with one in another position or with one on the shelf. What stands in it
 * goes along with its age; counters, duty, interval and costs stay with the position. The runs so
 * far end sound where they were, and go on in the other duty as runs of parts that came with an
 * age.
 */
@Service
public class Exchange {

  private static final int MOST_BECAUSE = 400;
  private static final int MOST_PLACE = 20;

  private final PumpMapper pumps;
  private final FittedWetEnds wetEnds;
  private final FindingMapper findings;
  private final BenchMapper bench;
  private final SpareUnitMapper spares;
  private final PumpRegister register;
  private final ShopLibrary library;
  private final Clock clock;

  Exchange(
      PumpMapper pumps,
      FittedWetEnds wetEnds,
      FindingMapper findings,
      BenchMapper bench,
      SpareUnitMapper spares,
      PumpRegister register,
      ShopLibrary library,
      Clock clock) {
    this.pumps = pumps;
    this.wetEnds = wetEnds;
    this.findings = findings;
    this.bench = bench;
    this.spares = spares;
    this.register = register;
    this.library = library;
    this.clock = clock;
  }

  /**
   * With what it changes places.
   *
   * @param because why it may, where a wet end is unsuited in the duty it goes to
   */
  public record ExchangeRequest(String with, String because) {}

  /**
   * Which unit goes in, and what becomes of the one that comes out.
   *
   * @param unit serial of the unit on the shelf
   * @param place where the one that comes out is put; empty where nobody says
   * @param because why it may, where the unit that goes in is unsuited in the duty
   */
  public record UnitRequest(String unit, String place, String because) {}

  /**
   * Exchanges the units of two positions.
   *
   * @throws RequestProblem where a position is unknown, one is on the bench, or the units are of
   *     different constructions
   */
  @Transactional
  public void exchange(String tag, ExchangeRequest q) {
    String other = Text.typed(q.with());
    if (other.equals(tag)) {
      throw RequestProblem.invalid("with", "A unit cannot change places with itself.");
    }
    // Always in the same order, so that two who exchange at once do not wait for each other.
    boolean first = tag.compareTo(other) < 0;
    PumpRow low = locked(first ? tag : other);
    PumpRow high = locked(first ? other : tag);
    if (low.sheet().isEmpty() || !low.sheet().equals(high.sheet())) {
      throw RequestProblem.notNow(
          "with", tag + " and " + other + " are not pumps of one construction with a sheet.");
    }
    Unit here = unit(low);
    Unit there = unit(high);
    String because = because(q.because());
    requireSuited(Stream.concat(unsuited(here, high), unsuited(there, low)), because);
    LocalDate today = LocalDate.now(clock);
    endRuns(low, high.tag(), because, today);
    endRuns(high, low.tag(), because, today);
    goesTo(here, high, today);
    goesTo(there, low, today);
  }

  /**
   * A unit of the shelf goes into a position; the one that stood there comes to the shelf.
   *
   * @throws RequestProblem where no such unit is on the shelf, the pump is on the bench, or the
   *     units are of different constructions
   */
  @Transactional
  public void fromShelf(String tag, UnitRequest q) {
    PumpRow position = locked(tag);
    String serial = Text.typed(q.unit());
    SpareUnitRow row =
        spares
            .lock(serial)
            .filter(u -> !u.retired())
            .orElseThrow(
                () -> RequestProblem.notNow("unit", "No unit " + serial + " is on the shelf."));
    if (!position.sheet().equals(Optional.of(row.sheetId()))) {
      throw RequestProblem.notNow(
          "unit", serial + " is no unit of the construction of " + tag + ".");
    }
    Unit comesOut = unit(position);
    if (comesOut.serial().isEmpty()) {
      throw RequestProblem.notNow(
          "unit", "The unit in " + tag + " has no serial: give it one in Set-up first.");
    }
    Unit goesIn = Unit.onShelf(row, spares.parts(serial));
    String because = because(q.because());
    requireSuited(unsuited(goesIn, position), because);
    LocalDate today = LocalDate.now(clock);
    endRuns(position, Unit.SHELF, because, today);
    spares.remove(serial);
    goesTo(goesIn, position, today);
    spares.add(comesOut.row(Text.clipped(Text.typed(q.place()), MOST_PLACE), tag, today));
    comesOut.partRows().forEach(spares::addPart);
  }

  private static String because(String typed) {
    return Text.clipped(Text.typed(typed), MOST_BECAUSE);
  }

  private static void requireSuited(Stream<String> unsuited, String because) {
    List<Fault> faults = unsuited.map(sentence -> new Fault("because", sentence)).toList();
    if (!faults.isEmpty() && because.isEmpty()) {
      throw RequestProblem.notNow(faults);
    }
  }

  private PumpRow locked(String tag) {
    PumpRow pump =
        pumps
            .lock(tag)
            .orElseThrow(() -> RequestProblem.missing("with", "No pump is called " + tag + "."));
    if (bench.runningOn(tag).isPresent()) {
      throw RequestProblem.notNow("with", tag + " is on the bench: hand it back first.");
    }
    return register.carriedOn(pump);
  }

  private Unit unit(PumpRow pump) {
    return Unit.in(
        pump,
        wetEnds.of(pump.tag()),
        pumps.fitted(pump.tag()),
        findings
            .nextLook(pump.tag())
            .map(l -> new Unit.Look(Math.max(0, l.atHours() - pump.runningHours()), l.because())));
  }

  /** Materials of a unit that the duty of another position attacks, a sentence each. */
  private Stream<String> unsuited(Unit unit, PumpRow place) {
    Duty duty;
    try {
      duty =
          DutyForm.of(place, pumps.exposures(place.tag()), wetEnds.of(place.tag()), library)
              .duty(library);
    } catch (RequestProblem e) {
      return Stream.empty(); // a duty that was never written down right tells nothing
    }
    return unit.materials().entrySet().stream()
        .filter(m -> Roles.wetted(m.getKey()))
        .filter(
            m ->
                library
                    .materials()
                    .material(m.getValue())
                    .filter(
                        of ->
                            library.rater().rate(duty, of, m.getKey()).verdict()
                                == Rating.Verdict.UNSUITED)
                    .isPresent())
        .map(
            m ->
                "The "
                    + Text.words(m.getKey())
                    + " of "
                    + m.getValue()
                    + " from "
                    + unit.from()
                    + " is unsuited in the duty of "
                    + place.tag()
                    + ". Rebuild it for that duty first, or say why it goes there.");
  }

  private void endRuns(PumpRow position, String to, String because, LocalDate today) {
    String duty = pumps.mainFluid(position.tag());
    String cause = "unit moved to " + to;
    for (FittedPartRow f : pumps.fitted(position.tag())) {
      pumps.takeOut(position.tag(), f.role(), f.place());
      if (f.hoursHere(position) > 0) {
        pumps.addRun(PartRuns.ended(f, position, duty, today, false, cause, because));
      }
    }
  }

  private void goesTo(Unit unit, PumpRow position, LocalDate today) {
    String tag = position.tag();
    pumps.stands(tag, unit.serial(), unit.series(), unit.bodyMaterial(), unit.variants());
    wetEnds.stands(tag, unit.hardware(), unit.rotorClassMm(), unit.parts());
    for (Unit.Part p : unit.wear()) {
      pumps.refit(
          new FittedPartRow(
              tag,
              p.role(),
              p.place(),
              p.serial(),
              p.material(),
              today,
              position.runningHours(),
              p.hours(),
              position.strokes(),
              p.counts(),
              p.leading()));
    }
    // What is read of this unit from now on is no part of the lines drawn of the one before.
    findings.endLives(tag);
    findings.clearNextLook(tag);
    unit.look()
        .ifPresent(
            l ->
                findings.addNextLook(
                    new NextLookRow(tag, position.runningHours() + l.inHours(), l.because())));
  }
}
