package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.work.floor.Exchange;
import isokinon.server.work.floor.Pumps;
import isokinon.server.work.symptoms.SymptomQuestion;
import isokinon.server.work.symptoms.Symptoms;
import isokinon.server.work.symptoms.SymptomsView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A pump at its place: its page, its symptoms, and what changes places with it. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "pumps", description = "Pumps, symptoms, exchange")
class PumpController {

  private final Pumps pumps;
  private final Exchange exchange;
  private final Symptoms symptoms;

  PumpController(Pumps pumps, Exchange exchange, Symptoms symptoms) {
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

  @PostMapping("/pumps/{tag}/exchange")
  @Operation(summary = "The units of two positions change places, with what stands in them")
  Pumps.PumpView exchange(@PathVariable String tag, @RequestBody Exchange.ExchangeRequest request) {
    exchange.exchange(tag, request);
    return pumps.view(tag);
  }
}
