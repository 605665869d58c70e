package isokinon.server.http.compute;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.core.magnetic.MagnetMargin;
import isokinon.core.sheet.Handling;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What other programs ask of the stateless interface, and what they are answered. */
final class ComputeShapes {

  private ComputeShapes() {}

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
      List<String> hazards,
      int mostPosesOff,
      int mostToolsOff) {}

  record OrderQuestion(
      Integer count, @Schema(implementation = Handling.Layout.class) String layout) {}

  record PassAnswer(int percent, List<Integer> order) {}

  record OrderAnswer(List<Integer> order, List<PassAnswer> passes) {}

  record SettingQuestion(Double targetNm, Double handleMm, Double adapterMm, Double angleDeg) {}

  record SettingAnswer(double settingNm) {}

  record ExposureQuestion(
      String fluid, Double concentrationPct, Double temperatureC, Double share) {}

  record RateQuestion(
      String role,
      List<ExposureQuestion> exposures,
      @Schema(implementation = Duty.Abrasion.class) String abrasion,
      Double suctionLiftM,
      List<String> materials) {}

  record LimitedByAnswer(String fluid, String reason) {}

  record RatingAnswer(
      String material,
      Rating.Verdict verdict,
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

  record FlowQuestion(
      Double eccentricityMm,
      Double rotorDiameterMm,
      Double statorPitchMm,
      Double rpm,
      Double measuredM3h) {}

  record FlowAnswer(double displacementL, double theoreticalM3h, double efficiency) {}

  record GapQuestion(Double wallMm, Double compression) {}

  record GapAnswer(double gapMm) {}

  record RunQuestion(Double turns, Double ml) {}

  record CalibrationQuestion(List<RunQuestion> runs, Double setMlPerTurn) {}

  record CalibrationAnswer(
      double mlPerTurn, double cvPct, double errorPct, int moreRuns, double halfWidthPct) {}

  record MarginQuestion(
      Double densityKgM3,
      Double flowM3h,
      Double headM,
      Double efficiency,
      Double rpm,
      Double ratedNm,
      String magnet,
      Double temperatureC) {}

  record MarginAnswer(
      double neededNm, double availableNm, double margin, MagnetMargin.Verdict verdict) {}

  record ShelfQuestion(String material, String cured) {}

  record ShelfAnswer(String group, Optional<String> useBy, Optional<String> extendedBy) {}
}
