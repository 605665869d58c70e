package isokinon.server.http;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.cavity.RotorFit;
import isokinon.core.kit.KitCover;
import isokinon.core.kit.Offer;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.shelf.ShelfLife;
import isokinon.core.torque.TighteningOrder;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.server.work.Compute;
import isokinon.server.work.Refused;
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
@Tag(name = "compute", description = "Stateless: everything needed is in the request")
class ComputeController {

  private final Compute compute;

  ComputeController(Compute compute) {
    this.compute = compute;
  }

  record PlanQuestion(
      @Schema(type = "object") JsonNode sheet,
      String sheetId,
      List<String> renew,
      List<String> inspect,
      List<String> done) {}

  record RenewalAnswer(String part, int count, String because) {}

  record PlanAnswer(
      List<String> strip,
      List<String> build,
      double minutes,
      int poseChanges,
      int toolChanges,
      List<RenewalAnswer> renew,
      List<String> tools,
      boolean optimal,
      double buildOnlyMinutes,
      double waitMinutes,
      List<String> lubricants,
      List<String> hazards) {}

  record OrderQuestion(Integer count, String layout) {}

  record PassAnswer(int percent, List<Integer> order) {}

  record OrderAnswer(List<Integer> order, List<PassAnswer> passes) {}

  record SettingQuestion(Double targetNm, Double handleMm, Double adapterMm, Double angleDeg) {}

  record SettingAnswer(double settingNm) {}

  record ExposureQuestion(
      String fluid, Double concentrationPct, Double temperatureC, Double share) {}

  record RateQuestion(
      String role,
      List<ExposureQuestion> exposures,
      String abrasion,
      Double suctionLiftM,
      List<String> materials) {}

  record LimitedByAnswer(String fluid, String reason) {}

  record RatingAnswer(
      String material,
      String verdict,
      Optional<Double> factor,
      Optional<LimitedByAnswer> limitedBy,
      Optional<Double> marginK) {}

  record RateAnswer(List<RatingAnswer> ratings) {}

  record KitQuestion(String id, Double price, Map<String, Integer> parts) {}

  record SingleQuestion(String part, Double price) {}

  record CoverQuestion(
      Map<String, Integer> need,
      List<KitQuestion> kits,
      List<SingleQuestion> singles,
      Map<String, Integer> onHand) {}

  record BoughtAnswer(String id, int count) {}

  record CoverAnswer(
      List<BoughtAnswer> buy, double cost, Map<String, Integer> leftOver, boolean optimal) {}

  record FitQuestion(
      Double boreRadiusMm,
      Double tubeRadiusMm,
      Double elastomerAlphaPerK,
      Double deltaK,
      Double swell,
      Double rotorDiameterMm,
      Double rotorAlphaPerK) {}

  record FitAnswer(double boreDiameterMm, double rotorDiameterMm, double interferenceMm) {}

  record ShelfQuestion(String material, String cured) {}

  record ShelfAnswer(String group, Optional<String> useBy, Optional<String> extendedBy) {}

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
        plan.hazards());
  }

  @PostMapping("/kit-cover")
  @Operation(summary = "Cheapest kits and single parts that cover a need, shelf first")
  CoverAnswer kitCover(@RequestBody CoverQuestion q) {
    List<Offer> offers = new ArrayList<>();
    List<KitQuestion> kits = q.kits() == null ? List.of() : q.kits();
    for (int i = 0; i < kits.size(); i++) {
      String at = "kits[" + i + "]";
      KitQuestion kit = given(at, kits.get(i));
      offers.add(
          compute.offer(
              at,
              given(at + ".id", kit.id()),
              given(at + ".price", kit.price()),
              given(at + ".parts", kit.parts())));
    }
    List<SingleQuestion> singles = q.singles() == null ? List.of() : q.singles();
    for (int i = 0; i < singles.size(); i++) {
      String at = "singles[" + i + "]";
      SingleQuestion single = given(at, singles.get(i));
      String part = given(at + ".part", single.part());
      offers.add(
          compute.offer(
              at, Offer.SINGLE + part, given(at + ".price", single.price()), Map.of(part, 1)));
    }
    KitCover.Cover cover =
        compute.kitCover(
            given("need", q.need()), offers, q.onHand() == null ? Map.of() : q.onHand());
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
        compute.torqueOrder(given("count", q.count()), given("layout", q.layout()));
    return new OrderAnswer(
        order.order(),
        order.passes().stream().map(p -> new PassAnswer(p.percent(), p.order())).toList());
  }

  @PostMapping("/torque/setting")
  @Operation(summary = "Wrench setting with an adapter, N·m")
  SettingAnswer setting(@RequestBody SettingQuestion q) {
    return new SettingAnswer(
        compute.torqueSetting(
            given("targetNm", q.targetNm()),
            given("handleMm", q.handleMm()),
            given("adapterMm", q.adapterMm()),
            given("angleDeg", q.angleDeg())));
  }

  @PostMapping("/wet-end/rate")
  @Operation(summary = "Materials rated against all fluids of a duty")
  RateAnswer rate(@RequestBody RateQuestion q) {
    List<ExposureQuestion> asked = q.exposures() == null ? List.of() : q.exposures();
    List<Duty.Exposure> exposures = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      String at = "exposures[" + i + "]";
      ExposureQuestion e = given(at, asked.get(i));
      exposures.add(
          new Duty.Exposure(
              given(at + ".fluid", e.fluid()),
              given(at + ".concentrationPct", e.concentrationPct()),
              given(at + ".temperatureC", e.temperatureC()),
              given(at + ".share", e.share())));
    }
    Duty duty =
        new Duty(
            exposures, abrasion(q.abrasion()), q.suctionLiftM() == null ? 0 : q.suctionLiftM());
    return new RateAnswer(
        compute
            .rate(
                given("role", q.role()),
                duty,
                Optional.ofNullable(q.materials()).map(m -> ids("materials", m)))
            .stream()
            .map(ComputeController::answer)
            .toList());
  }

  @PostMapping("/cavity/fit")
  @Operation(summary = "Interference of a rotor in its stator at temperature and swell, mm")
  FitAnswer fit(@RequestBody FitQuestion q) {
    RotorFit fit =
        compute.rotorFit(
            given("boreRadiusMm", q.boreRadiusMm()),
            given("tubeRadiusMm", q.tubeRadiusMm()),
            given("elastomerAlphaPerK", q.elastomerAlphaPerK()),
            given("deltaK", q.deltaK()),
            q.swell() == null ? 0 : q.swell(),
            given("rotorDiameterMm", q.rotorDiameterMm()),
            given("rotorAlphaPerK", q.rotorAlphaPerK()));
    return new FitAnswer(fit.boreDiameterMm(), fit.rotorDiameterMm(), fit.interferenceMm());
  }

  @PostMapping("/shelf-life")
  @Operation(summary = "Until when an elastomer may be fitted, by cure date")
  ShelfAnswer shelfLife(@RequestBody ShelfQuestion q) {
    LocalDate cured;
    try {
      cured = LocalDate.parse(given("cured", q.cured()));
    } catch (DateTimeParseException e) {
      throw Refused.of(
          400, "cured", "\"" + q.cured() + "\" is not a date; write it as 2026-03-01.");
    }
    ShelfLife life = compute.shelfLife(given("material", q.material()), cured);
    return new ShelfAnswer(
        life.group().name().length() == 1 ? life.group().name() : word(life.group().name()),
        life.useBy().map(LocalDate::toString),
        life.extendedBy().map(LocalDate::toString));
  }

  private static RatingAnswer answer(Rating r) {
    return new RatingAnswer(
        r.material(),
        word(r.verdict().name()),
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
    throw Refused.of(
        400, "abrasion", "Abrasion is none, light, medium or heavy; \"" + word + "\" is not.");
  }

  private static <T> T given(String path, T value) {
    if (value == null) {
      throw Refused.of(400, path, "Missing: " + path + " must be given.");
    }
    return value;
  }

  private static List<String> ids(String path, List<String> ids) {
    List<String> given = ids == null ? List.of() : ids;
    for (int i = 0; i < given.size(); i++) {
      given(path + "[" + i + "]", given.get(i));
    }
    return given;
  }

  private static String word(String name) {
    return name.toLowerCase(Locale.ROOT);
  }
}
