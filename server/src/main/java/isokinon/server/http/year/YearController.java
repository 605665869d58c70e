package isokinon.server.http.year;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.work.year.YearQuestion;
import isokinon.server.work.year.YearQuestion.ChangeQuestion;
import isokinon.server.work.year.YearRuns;
import isokinon.server.work.year.YearView.YearRunView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The next twelve months, played many times before they happen. */
@RestController
@RequestMapping("/api/v1/year")
@Needs(Right.SEE)
@Tag(name = "year", description = "The next twelve months, played many times before they happen")
class YearController {

  private final YearRuns years;

  YearController(YearRuns years) {
    this.years = years;
  }

  @PostMapping
  @Needs(Right.WORK)
  @Operation(summary = "Begins to play the year by two policies with the same luck")
  YearRunView begin(@RequestBody YearQuestion question) {
    return years.begin(question);
  }

  @GetMapping("/{id}")
  @Operation(summary = "How far a year has come, and what it came to")
  YearRunView view(@PathVariable String id) {
    return years.view(id);
  }

  @PostMapping("/{id}/stop")
  @Needs(Right.WORK)
  @Operation(summary = "Stops what is being played of a year")
  YearRunView stop(@PathVariable String id) {
    return years.stop(id);
  }

  @PostMapping("/{id}/change")
  @Needs(Right.WORK)
  @Operation(summary = "Begins to play one change beside the second policy")
  YearRunView change(@PathVariable String id, @RequestBody ChangeQuestion change) {
    return years.change(id, change);
  }

  /** How many pumps are kept otherwise than before. */
  record KeptAnew(int pumps) {}

  @PostMapping("/{id}/take")
  @Needs(Right.LEAD)
  @Operation(summary = "Keeps every pump as advised from now on")
  KeptAnew take(@PathVariable String id, @Me SignedIn me) {
    return new KeptAnew(years.take(id, me.initials()));
  }
}
