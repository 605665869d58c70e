package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.People;
import isokinon.server.papers.ChoiceSheet;
import isokinon.server.work.floor.Exchange;
import isokinon.server.work.floor.Floor;
import isokinon.server.work.floor.Pumps;
import isokinon.server.work.history.Counters;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.symptoms.Symptoms;
import isokinon.server.work.wetends.ChooserView;
import isokinon.server.work.wetends.WetEnds;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The floor, its pumps, their wet ends, the people and the sheets of the shop. */
@RestController
@RequestMapping("/api/v1")
@Tag(name = "shop", description = "Floor, pumps, wet ends, people, sheets")
class ShopController {

  private final Floor floor;
  private final Pumps pumps;
  private final Exchange exchange;
  private final Symptoms symptoms;
  private final WetEnds wetEnds;
  private final Sheets sheets;
  private final People people;
  private final Counters counters;
  private final ChoiceSheet choiceSheet;
  private final Clock clock;

  ShopController(
      Floor floor,
      Pumps pumps,
      Exchange exchange,
      Symptoms symptoms,
      WetEnds wetEnds,
      Sheets sheets,
      People people,
      Counters counters,
      ChoiceSheet choiceSheet,
      Clock clock) {
    this.floor = floor;
    this.pumps = pumps;
    this.exchange = exchange;
    this.symptoms = symptoms;
    this.wetEnds = wetEnds;
    this.sheets = sheets;
    this.people = people;
    this.counters = counters;
    this.choiceSheet = choiceSheet;
    this.clock = clock;
  }

  @GetMapping("/floor")
  Floor.FloorView floor() {
    return floor.view();
  }

  @GetMapping("/people")
  List<People.Person> people() {
    return people.all();
  }

  @GetMapping("/pumps/{tag}")
  Pumps.PumpView pump(@PathVariable String tag) {
    return pumps.view(tag);
  }

  @PostMapping("/pumps/{tag}/symptoms")
  @Operation(summary = "Before the strip: what it may be, and the next best test")
  Symptoms.SymptomsView symptoms(
      @PathVariable String tag, @RequestBody Symptoms.SymptomQuestion question) {
    return symptoms.view(tag, question);
  }

  @GetMapping("/pumps/{tag}/wet-ends")
  ChooserView wetEnds(@PathVariable String tag) {
    return wetEnds.view(tag);
  }

  record ChangedDuty(DutyForm duty, String who) {}

  @PutMapping("/pumps/{tag}/duty")
  @Operation(summary = "Writes a pump's duty down")
  ChooserView changeDuty(@PathVariable String tag, @RequestBody ChangedDuty changed) {
    if (changed.duty() == null || changed.who() == null) {
      throw RequestProblem.of(400, "duty", "Give the duty, and who changes it.");
    }
    return wetEnds.change(tag, changed.duty(), changed.who());
  }

  @PostMapping("/pumps/{tag}/exchange")
  @Operation(summary = "The units of two positions change places, with what stands in them")
  Pumps.PumpView exchange(@PathVariable String tag, @RequestBody Exchange.ExchangeRequest request) {
    exchange.exchange(tag, request);
    return pumps.view(tag);
  }

  @PostMapping("/wet-ends/choose")
  @Operation(summary = "Wet ends for a pump in another duty, or for a duty typed in")
  ChooserView choose(@RequestBody WetEnds.Question question) {
    return wetEnds.choose(question);
  }

  @PostMapping(value = "/wet-ends/choice.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "The choice with its reasons as a sheet of paper")
  byte[] choiceSheet(@RequestBody WetEnds.Question question) {
    return choiceSheet.pdf(wetEnds.choose(question), Text.day(LocalDate.now(clock)));
  }

  @PostMapping(value = "/counters", consumes = "text/csv")
  @MostBytes(16L << 20)
  @Operation(summary = "Takes hour and stroke counters in by pump, all of the table or nothing")
  Counters.CounterReport counters(
      @RequestParam String who,
      @RequestParam(defaultValue = "false") boolean dryRun,
      @RequestBody String csv) {
    return counters.bring(csv, who, dryRun);
  }

  @GetMapping("/sheets")
  List<Sheets.Listed> sheets() {
    return sheets.all();
  }

  @GetMapping(value = "/sheet-schema", produces = "application/schema+json")
  Resource sheetSchema() {
    return new ClassPathResource("library/sheets/sheet.schema.json");
  }

  @GetMapping(value = "/sheets/{id}", produces = "application/yaml")
  String sheet(@PathVariable String id) {
    return sheets
        .source(id)
        .orElseThrow(() -> RequestProblem.missing("No sheet is called " + id + "."));
  }

  @PostMapping(value = "/sheets/draft", consumes = "application/yaml")
  @Operation(summary = "Reads a sheet that is being written: faults, or drawing and plans")
  Sheets.Draft draft(@RequestBody String source) {
    return sheets.draft(source);
  }

  @GetMapping("/sheets/{id}/revisions")
  List<Sheets.Revision> revisions(@PathVariable String id) {
    return sheets.revisions(id);
  }

  @GetMapping(value = "/sheets/{id}/revisions/{revision}", produces = "application/yaml")
  String revision(@PathVariable String id, @PathVariable int revision) {
    return sheets
        .source(id, revision)
        .orElseThrow(
            () -> RequestProblem.missing("No sheet " + id + " at revision " + revision + "."));
  }

  @GetMapping(value = "/sheets.zip", produces = "application/zip")
  @Operation(summary = "The newest revision of every sheet as a zip of YAML files")
  byte[] zip() {
    return sheets.zip();
  }

  @PostMapping(value = "/sheets.zip", consumes = "application/zip")
  @MostBytes(16L << 20)
  @Operation(summary = "Stores every sound, newer sheet of a zip; tells what is wrong with others")
  List<Sheets.Imported> importZip(@RequestBody byte[] zip) {
    return sheets.importZip(zip);
  }

  @PostMapping(value = "/sheets", consumes = "application/yaml")
  @ResponseStatus(HttpStatus.CREATED)
  Map<String, Object> store(@RequestBody String source) {
    var sheet = sheets.store(source);
    return Map.of("id", sheet.id(), "revision", sheet.revision());
  }
}
