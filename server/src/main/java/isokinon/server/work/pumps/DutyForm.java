package isokinon.server.work.pumps;

import isokinon.core.material.trace.Traces;
import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Duty.Conditions;
import isokinon.core.wetend.Duty.Exposure;
import isokinon.core.wetend.Duty.Zone;
import isokinon.core.wetend.FluidUse;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A duty as it is typed and shown; what is left out is not known.
 *
 * @param title the duty in a few words
 * @param exposures its fluids
 * @param abrasion none, light, medium or heavy; worked out where solids are given
 * @param suctionLiftM m
 * @param solidsPct solids, % of mass
 * @param solidsMohs their hardness, Mohs
 * @param solidsMm the largest, mm
 * @param pressureBar bar
 * @param viscosityMpas mPa·s
 * @param densityKgM3 kg/m3
 * @param ambientC coldest surroundings, degC
 * @param food whether it touches food
 * @param zone none, static or explosive
 * @param runsDry whether it runs dry now and then
 * @param chlorideMgL chloride in its water-based fluids, the highest, mg/L
 * @param phLow their lowest pH
 * @param phHigh their highest pH
 * @param chlorineMgL free chlorine in them, or another oxidiser as free chlorine, mg/L
 * @param stopCost what a stop by failure costs beyond kit and labour, pounds
 */
public record DutyForm(
    String title,
    List<FluidForm> exposures,
    Duty.Abrasion abrasion,
    Double suctionLiftM,
    Double solidsPct,
    Double solidsMohs,
    Double solidsMm,
    Double pressureBar,
    Double viscosityMpas,
    Double densityKgM3,
    Double ambientC,
    Boolean food,
    Zone zone,
    Boolean runsDry,
    Double chlorideMgL,
    Double phLow,
    Double phHigh,
    Double chlorineMgL,
    Double stopCost) {

  private static final double MOST_MONEY = 1e7;

  /**
   * A fluid of a duty.
   *
   * @param fluid code, name or alias
   * @param name the fluid in words; told, not asked
   * @param concentrationPct %
   * @param usualC usual temperature, degC; the highest where it is left out
   * @param temperatureC highest temperature, degC
   * @param share of the time, 0 to 1
   * @param kind process, cleaning or standing
   * @param note a few words
   */
  public record FluidForm(
      String fluid,
      String name,
      Double concentrationPct,
      Double usualC,
      Double temperatureC,
      Double share,
      FluidUse kind,
      String note) {}

  public static DutyForm of(
      PumpRow pump, List<ExposureRow> exposures, WetEndRow wetEnd, ShopLibrary library) {
    return new DutyForm(
        pump.dutyTitle(),
        exposures.stream()
            .map(
                e ->
                    new FluidForm(
                        e.fluid(),
                        library.materials().fluid(e.fluid()).map(f -> f.name()).orElse(e.fluid()),
                        e.concentrationPct(),
                        Optional.ofNullable(e.usualC()).orElse(e.temperatureC()),
                        e.temperatureC(),
                        e.share(),
                        e.kind(),
                        e.note()))
            .toList(),
        pump.abrasion(),
        pump.suctionLiftM(),
        wetEnd.solidsPct(),
        wetEnd.solidsMohs(),
        wetEnd.solidsMm(),
        wetEnd.pressureBar(),
        wetEnd.viscosityMpas(),
        wetEnd.densityKgM3(),
        wetEnd.ambientC(),
        wetEnd.food(),
        wetEnd.zone(),
        wetEnd.runsDry(),
        wetEnd.chlorideMgL(),
        wetEnd.phLow(),
        wetEnd.phHigh(),
        wetEnd.chlorineMgL(),
        wetEnd.stopCost());
  }

  /**
   * The duty in the terms of the rater.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  public Duty duty(ShopLibrary library) {
    List<Fault> faults = new ArrayList<>();
    List<FluidForm> asked = exposures == null ? List.of() : exposures;
    List<Exposure> read = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      read.add(exposure("exposures[" + i + "]", asked.get(i), library, faults));
    }
    Duty duty =
        new Duty(
            read,
            wear(faults),
            suctionLiftM == null ? 0 : suctionLiftM,
            new Conditions(
                Optional.ofNullable(pressureBar),
                Optional.ofNullable(viscosityMpas),
                Optional.ofNullable(densityKgM3),
                Optional.ofNullable(solidsMm),
                Optional.ofNullable(ambientC),
                Optional.ofNullable(food),
                Optional.ofNullable(zone),
                Optional.ofNullable(runsDry),
                new Traces(
                    Optional.ofNullable(chlorideMgL),
                    Optional.ofNullable(phLow),
                    Optional.ofNullable(phHigh),
                    Optional.ofNullable(chlorineMgL))));
    if (faults.isEmpty()) {
      faults.addAll(duty.faults());
    }
    if (stopCost != null && !(stopCost >= 0 && stopCost <= MOST_MONEY)) {
      faults.add(new Fault("stopCost", "What a stop costs is 0 to 10 million pounds."));
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    return duty;
  }

  private static Exposure exposure(
      String at, FluidForm f, ShopLibrary library, List<Fault> faults) {
    String fluid = "";
    if (f == null || f.fluid() == null || f.fluid().isBlank()) {
      faults.add(new Fault(at + ".fluid", "Say which fluid it is."));
    } else {
      fluid = library.materials().fluid(f.fluid()).map(x -> x.code()).orElse("");
      if (fluid.isEmpty()) {
        faults.add(new Fault(at + ".fluid", "The library knows no fluid \"" + f.fluid() + "\"."));
      }
    }
    Map<String, Optional<Double>> needed =
        f == null
            ? Map.of()
            : Map.of(
                "concentrationPct", Optional.ofNullable(f.concentrationPct()),
                "temperatureC", Optional.ofNullable(f.temperatureC()),
                "share", Optional.ofNullable(f.share()));
    needed.forEach(
        (field, value) -> {
          if (value.isEmpty()) {
            faults.add(new Fault(at + "." + field, "Missing: this must be given."));
          }
        });
    double highest = needed.getOrDefault("temperatureC", Optional.empty()).orElse(0.0);
    return new Exposure(
        fluid,
        needed.getOrDefault("concentrationPct", Optional.empty()).orElse(0.0),
        f == null || f.usualC() == null ? highest : f.usualC(),
        highest,
        needed.getOrDefault("share", Optional.empty()).orElse(0.0));
  }

  private Duty.Abrasion wear(List<Fault> faults) {
    boolean pctGiven = within("solidsPct", solidsPct, 0, 100, faults);
    boolean mohsGiven = within("solidsMohs", solidsMohs, 1, 10, faults);
    if (pctGiven && mohsGiven) {
      return Duty.Abrasion.of(solidsPct, solidsMohs);
    }
    return abrasion == null ? Duty.Abrasion.NONE : abrasion;
  }

  private static boolean within(
      String path, Double value, double min, double max, List<Fault> faults) {
    if (value == null) {
      return false;
    }
    if (value >= min && value <= max) {
      return true;
    }
    faults.add(new Fault(path, "This is " + min + " to " + max + "; " + value + " is not."));
    return false;
  }

  /** What of this duty stands in the pump's wet end beside hardware and parts. */
  public WetEndRow onto(WetEndRow before, String who, OffsetDateTime at) {
    return new WetEndRow(
        before.pump(),
        before.hardware(),
        before.rotorClassMm(),
        before.parts(),
        stopCost == null ? before.stopCost() : stopCost,
        pressureBar,
        viscosityMpas,
        densityKgM3,
        solidsMm,
        solidsPct,
        solidsMohs,
        ambientC,
        food,
        zone,
        runsDry,
        who,
        at,
        chlorideMgL,
        phLow,
        phHigh,
        chlorineMgL);
  }

  /** Its fluids as rows of a pump. */
  public List<ExposureRow> rows(String pump, Duty read) {
    List<ExposureRow> rows = new ArrayList<>();
    for (int i = 0; i < read.exposures().size(); i++) {
      Exposure e = read.exposures().get(i);
      FluidForm f = exposures.get(i);
      rows.add(
          new ExposureRow(
              pump,
              i + 1,
              e.fluid(),
              e.concentrationPct(),
              e.temperatureC(),
              e.share(),
              Text.clipped(f.note() == null ? "" : f.note(), 120),
              e.usualC() == e.temperatureC() ? null : e.usualC(),
              f.kind() == null ? FluidUse.PROCESS : f.kind()));
    }
    return rows;
  }
}
