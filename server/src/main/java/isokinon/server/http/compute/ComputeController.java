package isokinon.server.http.compute;

import static isokinon.server.work.shared.Require.present;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.cavity.CavityFlow;
import isokinon.core.cavity.RotorFit;
import isokinon.core.kit.KitCover;
import isokinon.core.kit.Offer;
import isokinon.core.magnetic.MagnetMargin;
import isokinon.core.peristaltic.Calibration;
import isokinon.core.peristaltic.TubeGap;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.stock.ShelfLife;
import isokinon.core.torque.TighteningOrder;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.http.compute.ComputeShapes.BoughtAnswer;
import isokinon.server.http.compute.ComputeShapes.CalibrationAnswer;
import isokinon.server.http.compute.ComputeShapes.CalibrationQuestion;
import isokinon.server.http.compute.ComputeShapes.CoverAnswer;
import isokinon.server.http.compute.ComputeShapes.CoverQuestion;
import isokinon.server.http.compute.ComputeShapes.ExposureQuestion;
import isokinon.server.http.compute.ComputeShapes.FitAnswer;
import isokinon.server.http.compute.ComputeShapes.FitQuestion;
import isokinon.server.http.compute.ComputeShapes.FlowAnswer;
import isokinon.server.http.compute.ComputeShapes.FlowQuestion;
import isokinon.server.http.compute.ComputeShapes.GapAnswer;
import isokinon.server.http.compute.ComputeShapes.GapQuestion;
import isokinon.server.http.compute.ComputeShapes.KitQuestion;
import isokinon.server.http.compute.ComputeShapes.LimitedByAnswer;
import isokinon.server.http.compute.ComputeShapes.MarginAnswer;
import isokinon.server.http.compute.ComputeShapes.MarginQuestion;
import isokinon.server.http.compute.ComputeShapes.OrderAnswer;
import isokinon.server.http.compute.ComputeShapes.OrderQuestion;
import isokinon.server.http.compute.ComputeShapes.PassAnswer;
import isokinon.server.http.compute.ComputeShapes.PlanAnswer;
import isokinon.server.http.compute.ComputeShapes.PlanQuestion;
import isokinon.server.http.compute.ComputeShapes.RateAnswer;
import isokinon.server.http.compute.ComputeShapes.RateQuestion;
import isokinon.server.http.compute.ComputeShapes.RatingAnswer;
import isokinon.server.http.compute.ComputeShapes.RenewalAnswer;
import isokinon.server.http.compute.ComputeShapes.RunQuestion;
import isokinon.server.http.compute.ComputeShapes.SettingAnswer;
import isokinon.server.http.compute.ComputeShapes.SettingQuestion;
import isokinon.server.http.compute.ComputeShapes.ShelfAnswer;
import isokinon.server.http.compute.ComputeShapes.ShelfQuestion;
import isokinon.server.http.compute.ComputeShapes.SingleQuestion;
import isokinon.server.work.compute.Compute;
import isokinon.server.work.shared.RequestProblem;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The stateless compute interface. Its shapes are fixed; other programs call them. */
@RestController
@RequestMapping("/api/v1/compute")
@Needs(Right.OPEN)
@Tag(name = "compute", description = "Stateless: everything needed is in the request")
class ComputeController {

  /** Half-width of the 95 % interval of the mean that a calibration is accepted at, %. */
  private static final double ACCEPTED_PCT = 1;

  private final Compute compute;

  ComputeController(Compute compute) {
    this.compute = compute;
  }

  @PostMapping("/plan")
  @Operation(summary = "Shortest strip, renewals with reasons, strip and build order")
  PlanAnswer plan(@RequestBody PlanQuestion q) {
    boolean given = q.sheet() != null && !q.sheet().isNull();
    Plan plan =
        compute.plan(
            given ? Optional.of(q.sheet().toString()) : Optional.empty(),
            Optional.ofNullable(q.sheetId()),
            new PlanRequest(
                ids("renew", q.renew()), ids("inspect", q.inspect()), ids("done", q.done())));
    return new PlanAnswer(
        plan.strip(),
        plan.build(),
        plan.minutes(),
        plan.poseChanges(),
        plan.toolChanges(),
        plan.renew().stream()
            .map(r -> new RenewalAnswer(r.part(), r.count(), r.because()))
            .toList(),
        plan.tools(),
        plan.optimal(),
        plan.buildOnlyMinutes(),
        plan.waitMinutes(),
        plan.lubricants(),
        plan.hazards(),
        plan.mostPosesOff(),
        plan.mostToolsOff());
  }

  @PostMapping("/kit-cover")
  @Operation(summary = "Cheapest kits and single parts that cover a need, shelf first")
  CoverAnswer kitCover(@RequestBody CoverQuestion q) {
    List<Offer> offers = new ArrayList<>();
    List<KitQuestion> kits = q.kits() == null ? List.of() : q.kits();
    for (int i = 0; i < kits.size(); i++) {
      String at = "kits[" + i + "]";
      KitQuestion kit = present(at, kits.get(i));
      offers.add(
          compute.offer(
              at,
              present(at + ".id", kit.id()),
              present(at + ".price", kit.price()),
              present(at + ".parts", kit.parts())));
    }
    List<SingleQuestion> singles = q.singles() == null ? List.of() : q.singles();
    for (int i = 0; i < singles.size(); i++) {
      String at = "singles[" + i + "]";
      SingleQuestion single = present(at, singles.get(i));
      String part = present(at + ".part", single.part());
      offers.add(
          compute.offer(
              at, Offer.SINGLE + part, present(at + ".price", single.price()), Map.of(part, 1)));
    }
    KitCover.Cover cover =
        compute.kitCover(
            present("need", q.need()), offers, q.onHand() == null ? Map.of() : q.onHand());
    return new CoverAnswer(
        cover.buy().stream().map(b -> new BoughtAnswer(b.id(), b.count())).toList(),
        cover.cost(),
        cover.leftOver(),
        cover.optimal());
  }

  @PostMapping("/torque/order")
  @Operation(summary = "Tightening order and passes of a joint")
  OrderAnswer order(@RequestBody OrderQuestion q) {
    TighteningOrder order =
        compute.torqueOrder(present("count", q.count()), present("layout", q.layout()));
    return new OrderAnswer(
        order.order(),
        order.passes().stream().map(p -> new PassAnswer(p.percent(), p.order())).toList());
  }

  @PostMapping("/torque/setting")
  @Operation(summary = "Wrench setting with an adapter, N·m")
  SettingAnswer setting(@RequestBody SettingQuestion q) {
    return new SettingAnswer(
        compute.torqueSetting(
            present("targetNm", q.targetNm()),
            present("handleMm", q.handleMm()),
            present("adapterMm", q.adapterMm()),
            present("angleDeg", q.angleDeg())));
  }

  @PostMapping("/wet-end/rate")
  @Operation(summary = "Materials rated against all fluids of a duty")
  RateAnswer rate(@RequestBody RateQuestion q) {
    List<ExposureQuestion> asked = q.exposures() == null ? List.of() : q.exposures();
    List<Duty.Exposure> exposures = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      String at = "exposures[" + i + "]";
      ExposureQuestion e = present(at, asked.get(i));
      exposures.add(
          new Duty.Exposure(
              present(at + ".fluid", e.fluid()),
              present(at + ".concentrationPct", e.concentrationPct()),
              present(at + ".temperatureC", e.temperatureC()),
              present(at + ".share", e.share())));
    }
    Duty duty =
        new Duty(
            exposures, abrasion(q.abrasion()), q.suctionLiftM() == null ? 0 : q.suctionLiftM());
    return new RateAnswer(
        compute
            .rate(
                present("role", q.role()),
                duty,
                Optional.ofNullable(q.materials()).map(m -> ids("materials", m)))
            .stream()
            .map(ComputeController::answer)
            .toList());
  }

  @PostMapping("/cavity/fit")
  @Operation(summary = "Interference of a rotor in its stator at temperature and swell, mm")
  FitAnswer fit(@RequestBody FitQuestion q) {
    double bore = present("boreRadiusMm", q.boreRadiusMm());
    double tube = present("tubeRadiusMm", q.tubeRadiusMm());
    double alpha = present("elastomerAlphaPerK", q.elastomerAlphaPerK());
    double deltaK = present("deltaK", q.deltaK());
    double rotor = present("rotorDiameterMm", q.rotorDiameterMm());
    double rotorAlpha = present("rotorAlphaPerK", q.rotorAlphaPerK());
    double swell = q.swell() == null ? 0 : q.swell();
    RotorFit fit =
        RequestProblem.answered(
            () -> RotorFit.at(bore, tube, alpha, deltaK, swell, rotor, rotorAlpha));
    return new FitAnswer(fit.boreDiameterMm(), fit.rotorDiameterMm(), fit.interferenceMm());
  }

  @PostMapping("/cavity/flow")
  @Operation(
      summary = "Displacement, flow without slip and efficiency of a progressing cavity pump")
  FlowAnswer flow(@RequestBody FlowQuestion q) {
    double eccentricity = present("eccentricityMm", q.eccentricityMm());
    double rotor = present("rotorDiameterMm", q.rotorDiameterMm());
    double pitch = present("statorPitchMm", q.statorPitchMm());
    double rpm = present("rpm", q.rpm());
    double measured = present("measuredM3h", q.measuredM3h());
    CavityFlow flow =
        RequestProblem.answered(() -> CavityFlow.of(eccentricity, rotor, pitch, rpm, measured));
    return new FlowAnswer(flow.displacementL(), flow.theoreticalM3h(), flow.efficiency());
  }

  @PostMapping("/tube/gap")
  @Operation(summary = "Gap between roller and track for a compression, mm")
  GapAnswer gap(@RequestBody GapQuestion q) {
    double wall = present("wallMm", q.wallMm());
    double compression = present("compression", q.compression());
    return new GapAnswer(RequestProblem.answered(() -> TubeGap.gapMm(wall, compression)));
  }

  @PostMapping("/tube/calibration")
  @Operation(summary = "What a turn delivers, how closely the runs say so, how many more it takes")
  CalibrationAnswer calibration(@RequestBody CalibrationQuestion q) {
    List<Calibration.Run> runs = new ArrayList<>();
    List<RunQuestion> asked = present("runs", q.runs());
    for (int i = 0; i < asked.size(); i++) {
      String at = "runs[" + i + "]";
      RunQuestion run = present(at, asked.get(i));
      runs.add(
          new Calibration.Run(present(at + ".turns", run.turns()), present(at + ".ml", run.ml())));
    }
    double set = present("setMlPerTurn", q.setMlPerTurn());
    Calibration c = RequestProblem.answered(() -> Calibration.of(runs, set, ACCEPTED_PCT));
    return new CalibrationAnswer(
        c.mlPerTurn(), c.cvPct(), c.errorPct(), c.moreRuns(), c.halfWidthPct());
  }

  @PostMapping("/magnet/margin")
  @Operation(summary = "Torque a magnetic drive needs against what its magnets carry, N·m")
  MarginAnswer margin(@RequestBody MarginQuestion q) {
    MagnetMargin.Magnet magnet =
        switch (present("magnet", q.magnet())) {
          case "NdFeB" -> MagnetMargin.Magnet.NDFEB;
          case "SmCo" -> MagnetMargin.Magnet.SMCO;
          default ->
              throw RequestProblem.invalid(
                  "magnet", "A magnet is NdFeB or SmCo; \"" + q.magnet() + "\" is not.");
        };
    double density = present("densityKgM3", q.densityKgM3());
    double flow = present("flowM3h", q.flowM3h());
    double head = present("headM", q.headM());
    double efficiency = present("efficiency", q.efficiency());
    double rpm = present("rpm", q.rpm());
    double rated = present("ratedNm", q.ratedNm());
    double celsius = present("temperatureC", q.temperatureC());
    MagnetMargin m =
        RequestProblem.answered(
            () -> MagnetMargin.of(density, flow, head, efficiency, rpm, rated, magnet, celsius));
    return new MarginAnswer(m.neededNm(), m.availableNm(), m.margin(), m.verdict());
  }

  @PostMapping("/shelf-life")
  @Operation(summary = "Until when an elastomer may be fitted, by cure date")
  ShelfAnswer shelfLife(@RequestBody ShelfQuestion q) {
    LocalDate cured;
    try {
      cured = LocalDate.parse(present("cured", q.cured()));
    } catch (DateTimeParseException e) {
      throw RequestProblem.invalid(
          "cured", "\"" + q.cured() + "\" is not a date; write it as 2026-03-01.");
    }
    ShelfLife life = compute.shelfLife(present("material", q.material()), cured);
    return new ShelfAnswer(
        life.group().name().length() == 1 ? life.group().name() : word(life.group().name()),
        life.useBy().map(LocalDate::toString),
        life.extendedBy().map(LocalDate::toString));
  }

  private static RatingAnswer answer(Rating r) {
    return new RatingAnswer(
        r.material(),
        r.verdict(),
        r.factor(),
        r.limitedBy().map(l -> new LimitedByAnswer(l.fluid(), l.reason())),
        r.marginK());
  }

  private static Duty.Abrasion abrasion(String word) {
    if (word == null) {
      return Duty.Abrasion.NONE;
    }
    for (Duty.Abrasion a : Duty.Abrasion.values()) {
      if (word(a.name()).equals(word)) {
        return a;
      }
    }
    throw RequestProblem.invalid(
        "abrasion", "Abrasion is none, light, medium or heavy; \"" + word + "\" is not.");
  }

  private static List<String> ids(String path, List<String> ids) {
    List<String> given = ids == null ? List.of() : ids;
    for (int i = 0; i < given.size(); i++) {
      present(path + "[" + i + "]", given.get(i));
    }
    return given;
  }

  private static String word(String name) {
    return name.toLowerCase(Locale.ROOT);
  }
}
