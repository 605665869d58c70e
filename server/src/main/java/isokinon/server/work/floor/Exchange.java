package isokinon.server.work.floor;

import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Roles;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.db.findings.NextLookRow;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.rebuilds.BenchMapper;
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
 * Two units change places. What stands in them goes along with its age; counters, duty, interval
 * and costs stay with the position. The runs so far end sound where they were, and go on in the
 * other duty as runs of parts that came with an age.
 */
@Service
public class Exchange {

  private static final int MOST_BECAUSE = 400;

  private final PumpMapper pumps;
  private final FittedWetEnds wetEnds;
  private final FindingMapper findings;
  private final BenchMapper bench;
  private final PumpRegister register;
  private final ShopLibrary library;
  private final Clock clock;

  Exchange(
      PumpMapper pumps,
      FittedWetEnds wetEnds,
      FindingMapper findings,
      BenchMapper bench,
      PumpRegister register,
      ShopLibrary library,
      Clock clock) {
    this.pumps = pumps;
    this.wetEnds = wetEnds;
    this.findings = findings;
    this.bench = bench;
    this.register = register;
    this.library = library;
    this.clock = clock;
  }

  /**
   * What changes places, and who did it.
   *
   * @param because why it may, where a wet end is unsuited in the duty it goes to
   */
  public record ExchangeRequest(String with, String because) {}

  /** A unit as it stands in a position: everything that goes along when it is moved. */
  private record Unit(
      PumpRow pump, WetEndRow wetEnd, List<FittedPartRow> parts, Optional<NextLookRow> look) {}

  /**
   * Exchanges the units of two positions.
   *
   * @throws RequestProblem where a position is unknown, one is on the bench, or the units are of
   *     different constructions
   */
  @Transactional
  public void exchange(String tag, ExchangeRequest q, String who) {
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
    String because = Text.clipped(Text.typed(q.because()), MOST_BECAUSE);
    List<Fault> unsuited =
        Stream.concat(unsuited(here, high), unsuited(there, low))
            .map(sentence -> new Fault("because", sentence))
            .toList();
    if (!unsuited.isEmpty() && because.isEmpty()) {
      throw RequestProblem.notNow(unsuited);
    }
    LocalDate today = LocalDate.now(clock);
    endRuns(here, high.tag(), because, today);
    endRuns(there, low.tag(), because, today);
    goesTo(here, high, today);
    goesTo(there, low, today);
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
    return new Unit(
        pump, wetEnds.of(pump.tag()), pumps.fitted(pump.tag()), findings.nextLook(pump.tag()));
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
    return wetEnds.materials(unit.pump()).entrySet().stream()
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
                    + unit.pump().tag()
                    + " is unsuited in the duty of "
                    + place.tag()
                    + ". Rebuild it for that duty first, or say why it goes there.");
  }

  private void endRuns(Unit unit, String to, String because, LocalDate today) {
    PumpRow p = unit.pump();
    String duty = pumps.mainFluid(p.tag());
    String cause = "unit moved to " + to;
    for (FittedPartRow f : unit.parts()) {
      pumps.takeOut(p.tag(), f.role(), f.place());
      if (f.hoursHere(p) > 0) {
        pumps.addRun(PartRuns.ended(f, p, duty, today, false, cause, because));
      }
    }
  }

  private void goesTo(Unit unit, PumpRow place, LocalDate today) {
    PumpRow from = unit.pump();
    pumps.stands(place.tag(), from.serial(), from.series(), from.bodyMaterial(), from.variants());
    wetEnds.stands(
        place.tag(), unit.wetEnd().hardware(), unit.wetEnd().rotorClassMm(), unit.wetEnd().parts());
    for (FittedPartRow f : unit.parts()) {
      pumps.refit(
          new FittedPartRow(
              place.tag(),
              f.role(),
              f.place(),
              f.partSerial(),
              f.material(),
              today,
              place.runningHours(),
              f.age(from),
              place.strokes(),
              f.countAge(from),
              f.leading()));
    }
    // What is read of this unit from now on is no part of the lines drawn of the one before.
    findings.endLives(place.tag());
    findings.clearNextLook(place.tag());
    unit.look()
        .ifPresent(
            l ->
                findings.addNextLook(
                    new NextLookRow(
                        place.tag(),
                        place.runningHours() + Math.max(0, l.atHours() - from.runningHours()),
                        l.because())));
  }
}
