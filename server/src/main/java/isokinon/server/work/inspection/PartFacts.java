package isokinon.server.work.inspection;

import isokinon.core.cavity.RotorFit;
import isokinon.core.magnetic.MagnetMargin;
import isokinon.core.material.Material;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.PumpMapper;
import isokinon.server.db.PumpRow;
import isokinon.server.db.WetEndRow;
import isokinon.server.work.inspection.FindingView.Fact;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.rebuild.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is computed of a part beside its limits: how a rotor sits, what magnets carry. */
@Component
public class PartFacts {

  private static final double STEEL_ALPHA = 1.2e-5;
  private static final double REFERENCE_C = 20;

  private final ShopLibrary library;
  private final FittedWetEnds wetEnds;
  private final PumpMapper pumps;

  PartFacts(ShopLibrary library, FittedWetEnds wetEnds, PumpMapper pumps) {
    this.library = library;
    this.wetEnds = wetEnds;
    this.pumps = pumps;
  }

  /** Facts of a part, each with how it stands. */
  List<Fact> of(Job job, Part part) {
    List<Fact> facts = new ArrayList<>();
    Sheet sheet = job.rebuild().sheet();
    if (part.id().equals("rotor") || part.role().equals(Optional.of("stator"))) {
      sheet.stator().ifPresent(s -> facts.addAll(fit(job, s)));
    }
    if (part.limits().stream().anyMatch(l -> l.measure().equals("pull-off-torque"))) {
      sheet.coupling().ifPresent(c -> facts.addAll(coupling(job.pump(), c)));
    }
    return facts;
  }

  private List<Fact> fit(Job job, RotorFit.Stator stator) {
    PumpRow pump = job.pump();
    double hottest = hottest(pump);
    WetEndRow wetEnd = wetEnds.of(pump.tag());
    return library
        .materials()
        .material(job.rebuild().fitted().material())
        .flatMap(Material::alphaPerK)
        .map(
            alpha -> {
              RotorFit fit =
                  RotorFit.at(
                      stator.boreRadiusMm(),
                      stator.tubeRadiusMm(),
                      alpha,
                      hottest - REFERENCE_C,
                      0,
                      stator.rotorDiameterMm() + wetEnd.rotorClassMm(),
                      STEEL_ALPHA);
              boolean tight = fit.interferenceMm() > stator.mostMm();
              boolean loose = fit.interferenceMm() < stator.leastMm();
              return new Fact(
                  String.format(
                      Locale.ROOT,
                      "The rotor in it sits with %.2f mm at %.0f °C, new and without swell; %.1f to"
                          + " %.1f mm is the sheet's band%s.",
                      fit.interferenceMm(),
                      hottest,
                      stator.leastMm(),
                      stator.mostMm(),
                      tight
                          ? ": too tight, choose the rotor class at Decide"
                          : loose ? ": too loose" : ""),
                  tight || loose ? Part.Verdict.WATCH : Part.Verdict.SOUND);
            })
        .stream()
        .toList();
  }

  private double hottest(PumpRow pump) {
    return pumps.exposures(pump.tag()).stream()
        .mapToDouble(e -> e.temperatureC())
        .max()
        .orElse(REFERENCE_C);
  }

  private List<Fact> coupling(PumpRow pump, Sheet.Coupling c) {
    double hottest = hottest(pump);
    double density =
        Optional.ofNullable(wetEnds.of(pump.tag()).densityKgM3())
            .orElseGet(
                () ->
                    pumps.exposures(pump.tag()).stream()
                        .flatMap(
                            e ->
                                library.materials().fluid(e.fluid()).stream()
                                    .flatMap(f -> f.densityAt(e.concentrationPct()).stream()))
                        .mapToDouble(Double::doubleValue)
                        .max()
                        .orElse(1000));
    MagnetMargin m =
        MagnetMargin.of(
            density,
            c.flowM3h(),
            c.headM(),
            c.efficiency(),
            c.rpm(),
            c.ratedNm(),
            c.magnet(),
            hottest);
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact(
            String.format(
                Locale.ROOT,
                "At %.0f °C the magnets carry %.2f N·m and the duty at %.0f kg/m³ takes %.2f: margin"
                    + " %.2f%s.",
                hottest,
                m.availableNm(),
                density,
                m.neededNm(),
                m.margin(),
                m.verdict() == MagnetMargin.Verdict.SOUND
                    ? ""
                    : m.verdict() == MagnetMargin.Verdict.WATCH
                        ? ", under 1.25: watch"
                        : ", under 1.1: renew or resize"),
            verdict(m.verdict())));
    double start =
        MagnetMargin.atStartNm(m.neededNm(), c.motorPeakNm(), c.loadInertia(), c.motorInertia());
    facts.add(
        new Fact(
            String.format(
                Locale.ROOT,
                "A direct start takes %.2f of %.2f N·m%s.",
                start,
                m.availableNm(),
                start < m.availableNm() ? "" : ": it will slip, start it softly"),
            start < m.availableNm() ? Part.Verdict.SOUND : Part.Verdict.WATCH));
    if (hottest > c.mostC()) {
      facts.add(
          new Fact(
              String.format(
                  Locale.ROOT,
                  "It comes to %.0f °C; over %.0f °C these magnets lose for good: renew.",
                  hottest,
                  c.mostC()),
              Part.Verdict.RENEW));
    }
    return facts;
  }

  private static Part.Verdict verdict(MagnetMargin.Verdict of) {
    return switch (of) {
      case SOUND -> Part.Verdict.SOUND;
      case WATCH -> Part.Verdict.WATCH;
      case RENEW -> Part.Verdict.RENEW;
    };
  }
}
