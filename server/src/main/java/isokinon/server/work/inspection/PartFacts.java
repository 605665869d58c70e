package isokinon.server.work.inspection;

import isokinon.core.cavity.RotorChoice;
import isokinon.core.cavity.RotorFit;
import isokinon.core.magnetic.Coupling;
import isokinon.core.magnetic.MagnetMargin;
import isokinon.core.material.Material;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.wear.Measures;
import isokinon.core.wetend.Roles;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.inspection.FindingView.Fact;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.SwellSeen;
import isokinon.server.work.rebuild.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is computed of a part beside its limits: how a rotor sits, what magnets carry. */
@Component
public class PartFacts {

  private final ShopLibrary library;
  private final FittedWetEnds wetEnds;
  private final SwellSeen swell;
  private final PumpMapper pumps;

  PartFacts(ShopLibrary library, FittedWetEnds wetEnds, SwellSeen swell, PumpMapper pumps) {
    this.library = library;
    this.wetEnds = wetEnds;
    this.swell = swell;
    this.pumps = pumps;
  }

  /** Facts of a part, each with how it stands. */
  List<Fact> of(Job job, Part part) {
    List<Fact> facts = new ArrayList<>();
    Sheet sheet = job.rebuild().sheet();
    if (part.id().equals("rotor") || part.role().equals(Optional.of("stator"))) {
      sheet.stator().ifPresent(s -> facts.addAll(fit(job, s)));
    }
    if (part.limit(Measures.PULL_OFF_TORQUE).isPresent()) {
      sheet.coupling().ifPresent(c -> facts.addAll(coupling(job.pump(), c)));
    }
    return facts;
  }

  private List<Fact> fit(Job job, RotorFit.Stator stator) {
    PumpRow pump = job.pump();
    List<ExposureRow> exposures = pumps.exposures(pump.tag());
    Map<String, String> inIt = wetEnds.materials(pump);
    String elastomer = job.rebuild().fitted().material();
    Optional<Double> alpha = alpha(elastomer);
    if (alpha.isEmpty()) {
      return List.of();
    }
    Optional<Double> seen =
        swell.of(elastomer, exposures.stream().map(ExposureRow::fluid).distinct().toList());
    RotorChoice rotors =
        RotorChoice.of(
            stator, alpha, alpha(inIt.getOrDefault(Roles.ROTOR, "")), seen, hottest(exposures));
    RotorFit fit = rotors.fit(wetEnds.of(pump.tag()).rotorClassMm());
    boolean tight = fit.interferenceMm() > stator.mostMm();
    boolean loose = fit.interferenceMm() < stator.leastMm();
    return List.of(
        new Fact(
            String.format(
                Locale.ROOT,
                "The rotor in it sits with %.2f mm at %.0f °C, %s; %.1f to %.1f mm is the sheet's"
                    + " band%s.",
                fit.interferenceMm(),
                rotors.hottestC(),
                seen.map(
                        x ->
                            String.format(Locale.ROOT, "with the %.1f %% swell seen here", 100 * x))
                    .orElse("new and without swell"),
                stator.leastMm(),
                stator.mostMm(),
                tight
                    ? ": too tight, choose the rotor class at Decide"
                    : loose ? ": too loose" : ""),
            tight || loose ? Part.Verdict.WATCH : Part.Verdict.SOUND));
  }

  private Optional<Double> alpha(String material) {
    return library.materials().material(material).flatMap(Material::alphaPerK);
  }

  private static double hottest(List<ExposureRow> exposures) {
    return exposures.stream()
        .mapToDouble(ExposureRow::temperatureC)
        .max()
        .orElse(RotorChoice.AS_BUILT_C);
  }

  private List<Fact> coupling(PumpRow pump, Coupling c) {
    List<ExposureRow> exposures = pumps.exposures(pump.tag());
    double hottest = hottest(exposures);
    double density =
        Optional.ofNullable(wetEnds.of(pump.tag()).densityKgM3())
            .orElseGet(
                () ->
                    exposures.stream()
                        .flatMap(
                            e ->
                                library
                                    .materials()
                                    .density(e.fluid(), e.concentrationPct(), e.temperatureC())
                                    .stream())
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
