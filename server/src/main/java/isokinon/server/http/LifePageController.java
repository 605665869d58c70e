package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.work.insights.Insights;
import isokinon.server.work.life.Comparison;
import isokinon.server.work.life.LifePage;
import isokinon.server.work.life.LifeView;
import isokinon.server.work.life.score.ScorePage;
import isokinon.server.work.life.score.ScoreView;
import isokinon.server.work.lives.PolicyService;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What history says of wear parts, and how they are kept. */
@RestController
@RequestMapping("/api/v1/life")
@Needs(Right.SEE)
@Tag(name = "life", description = "Survival, intervals, policies")
class LifePageController {

  private final LifePage place;
  private final PolicyService keeping;
  private final Comparison comparison;
  private final Insights finds;
  private final ScorePage score;

  LifePageController(
      LifePage place,
      PolicyService keeping,
      Comparison comparison,
      Insights finds,
      ScorePage score) {
    this.score = score;
    this.place = place;
    this.keeping = keeping;
    this.comparison = comparison;
    this.finds = finds;
  }

  @GetMapping("/finds")
  @Operation(summary = "What the shop's records say without being asked")
  List<Insights.InsightView> finds() {
    return finds.all();
  }

  @PostMapping
  @Operation(summary = "Survival of a group of wear parts, and the ways to keep them at their best")
  LifeView view(@RequestBody LifePage.LifeQuestion question) {
    return place.view(question);
  }

  @PostMapping("/policy")
  @Needs(Right.LEAD)
  @Operation(summary = "Chooses how the wear parts of pumps are kept")
  List<PolicyService.KeptView> policy(
      @RequestBody PolicyService.PolicyRequest request, @Me SignedIn me) {
    return keeping.choose(request, me.initials());
  }

  @PostMapping("/mode")
  @Needs(Right.LEAD)
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Chooses the Weibull shape of a group's failure mode")
  void mode(@RequestBody PolicyService.ModeRequest request, @Me SignedIn me) {
    keeping.chooseMode(request, me.initials());
  }

  @GetMapping("/score")
  @Operation(summary = "How often forecasts were right, and what was advised against what was done")
  ScoreView score(
      @RequestParam(defaultValue = "") String role, @RequestParam(defaultValue = "0") int years) {
    return score.view(role, years);
  }

  @PostMapping("/compare")
  @Operation(summary = "Whether two groups of wear parts last alike, by the log-rank test")
  Comparison.ComparisonView compare(@RequestBody Comparison.CompareQuestion question) {
    return comparison.compare(question);
  }
}
