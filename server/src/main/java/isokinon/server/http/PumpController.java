package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.counter.CounterLog;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.work.floor.Pumps;
import isokinon.server.work.history.Counters;
import isokinon.server.work.rounds.RoundRequest;
import isokinon.server.work.rounds.RoundView;
import isokinon.server.work.rounds.Rounds;
import isokinon.server.work.symptoms.SymptomQuestion;
import isokinon.server.work.symptoms.Symptoms;
import isokinon.server.work.symptoms.SymptomsView;
import isokinon.server.work.units.Exchange;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A pump at its place: its page, its symptoms, and what changes places with it. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "pumps", description = "Pumps, symptoms, exchange")
class PumpController {

  private static final long MOST_COUNTED = 1_000_000_000_000L;

  private final Pumps pumps;
  private final Exchange exchange;
  private final Symptoms symptoms;
  private final Rounds rounds;
  private final Counters counters;

  PumpController(
      Pumps pumps, Exchange exchange, Symptoms symptoms, Rounds rounds, Counters counters) {
    this.counters = counters;
    this.rounds = rounds;
    this.pumps = pumps;
    this.exchange = exchange;
    this.symptoms = symptoms;
  }

  @GetMapping("/pumps/{tag}")
  Pumps.PumpView pump(@PathVariable String tag) {
    return pumps.view(tag);
  }

  @PostMapping("/pumps/{tag}/symptoms")
  @Operation(summary = "Before the strip: what it may be, and the next best test")
  SymptomsView symptoms(@PathVariable String tag, @RequestBody SymptomQuestion question) {
    return symptoms.view(tag, question);
  }

  @GetMapping("/pumps/{tag}/rounds")
  @Operation(summary = "Upkeep of a pump that comes round, what is due first")
  List<RoundView> rounds(@PathVariable String tag) {
    return rounds.of(tag);
  }

  @PostMapping("/pumps/{tag}/rounds/{round}")
  @Needs(Right.WORK)
  @Operation(summary = "A round is done, with its checks and readings")
  List<RoundView> roundDone(
      @PathVariable String tag,
      @PathVariable String round,
      @Valid @RequestBody RoundRequest request,
      @Me SignedIn me) {
    return rounds.done(tag, round, request, me.initials());
  }

  /**
   * What a counter shows.
   *
   * @param counter which one
   * @param reading hours or strokes
   */
  record CounterForm(
      @NotNull CounterLog.Kind counter,
      @NotNull @PositiveOrZero @Max(MOST_COUNTED) Double reading) {}

  @PostMapping("/pumps/{tag}/counters")
  @Needs(Right.WORK)
  @Operation(summary = "Takes in what a counter of a pump shows today")
  Counters.Taken counter(
      @PathVariable String tag, @Valid @RequestBody CounterForm form, @Me SignedIn me) {
    return counters.read(tag, form.counter(), form.reading(), me.initials());
  }

  @PostMapping("/pumps/{tag}/exchange")
  @Needs(Right.WORK)
  @Operation(summary = "The units of two positions change places, with what stands in them")
  Pumps.PumpView exchange(@PathVariable String tag, @RequestBody Exchange.ExchangeRequest request) {
    exchange.exchange(tag, request);
    return pumps.view(tag);
  }

  @PostMapping("/pumps/{tag}/unit")
  @Needs(Right.WORK)
  @Operation(summary = "A unit of the shelf goes in; the one that stood there comes to the shelf")
  Pumps.PumpView unit(@PathVariable String tag, @RequestBody Exchange.UnitRequest request) {
    exchange.fromShelf(tag, request);
    return pumps.view(tag);
  }
}
