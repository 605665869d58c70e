package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Hands;
import isokinon.server.http.security.Me;
import isokinon.server.papers.Clipboard;
import isokinon.server.papers.HandBackRecord;
import isokinon.server.papers.HandoverCard;
import isokinon.server.work.bench.ActRequest;
import isokinon.server.work.bench.AskedJobAct;
import isokinon.server.work.bench.Bench;
import isokinon.server.work.drawing.Rail;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.instruments.Wrenches;
import isokinon.server.work.live.LiveJobs;
import isokinon.server.work.photographs.Photographs;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.stages.BenchView;
import isokinon.server.work.stages.JobRecord;
import isokinon.server.work.stages.WaysView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rebuilds at the bench. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "bench", description = "Rebuilds in hand and what is done at them")
class BenchController {

  private final Bench bench;
  private final Hands hands;
  private final Jobs jobs;
  private final HandBackRecord record;
  private final Clipboard clipboard;
  private final HandoverCard card;
  private final ShopSettings settings;
  private final Photographs photographs;
  private final LiveJobs live;
  private final Wrenches crib;

  BenchController(
      Bench bench,
      Hands hands,
      Jobs jobs,
      HandBackRecord record,
      Clipboard clipboard,
      HandoverCard card,
      ShopSettings settings,
      Photographs photographs,
      LiveJobs live,
      Wrenches crib) {
    this.bench = bench;
    this.hands = hands;
    this.jobs = jobs;
    this.record = record;
    this.clipboard = clipboard;
    this.card = card;
    this.settings = settings;
    this.photographs = photographs;
    this.live = live;
    this.crib = crib;
  }

  record OpenRequest(@NotNull @Size(max = 2000) String reason) {}

  @GetMapping("/rebuilds")
  List<Bench.Running> running() {
    return bench.running();
  }

  @PostMapping("/pumps/{tag}/rebuilds")
  @Needs(Right.WORK)
  BenchView open(
      @PathVariable String tag, @Valid @RequestBody OpenRequest request, @Me SignedIn me) {
    return bench.open(tag, me.initials(), request.reason());
  }

  @GetMapping("/rebuilds/{id}")
  BenchView view(@PathVariable long id) {
    return bench.view(id);
  }

  @GetMapping("/rebuilds/{id}/drawing")
  @Operation(summary = "The drawing of a rebuild; the view tells when it has changed")
  List<Rail> drawing(@PathVariable long id) {
    return bench.drawing(id);
  }

  @GetMapping("/rebuilds/{id}/log")
  @Operation(summary = "Everything that was done at a rebuild, in order")
  List<JobRecord.LogLine> log(@PathVariable long id) {
    return bench.log(id);
  }

  @PostMapping("/rebuilds/{id}/acts")
  @Needs(Right.WORK)
  BenchView act(@PathVariable long id, @Valid @RequestBody ActRequest request, @Me SignedIn me) {
    BenchView after = bench.act(id, request, hands.of(me, request.signer()));
    live.moved(id, after.seq());
    return after;
  }

  @PostMapping("/rebuilds/{id}/ways")
  @Operation(summary = "What taking in would lead to: ways in and schools with their minutes")
  WaysView ways(@PathVariable long id, @Valid @RequestBody AskedJobAct.TakenIn asked) {
    return bench.ways(id, asked);
  }

  @GetMapping(value = "/rebuilds/{id}/clipboard.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "Strip list, tray card, build list and torque sheet for a clipboard")
  ResponseEntity<byte[]> clipboard(@PathVariable long id) {
    BenchView.PumpHead pump = bench.view(id).pump();
    return pdf(pump.tag() + "-clipboard-" + id, clipboard.pdf(pump, jobs.job(id).rebuild()));
  }

  @GetMapping(value = "/rebuilds/{id}/handover.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "The card that hangs on the pump between two shifts")
  ResponseEntity<byte[]> handoverCard(@PathVariable long id) {
    BenchView view = bench.view(id);
    BenchView.HandoverView handover =
        view.handover()
            .orElseThrow(() -> RequestProblem.notNow("", "This job is not handed over."));
    return pdf(view.pump().tag() + "-handover-" + id, card.pdf(view, handover, settings.name()));
  }

  @PostMapping("/rebuilds/{id}/finding")
  @Operation(summary = "A part in hand: signatures, readings, outcome, causes, next look")
  FindingView finding(@PathVariable long id, @RequestBody FindingView.FindingQuestion question) {
    return bench.finding(id, question);
  }

  @GetMapping("/wrenches/choice")
  Wrenches.WrenchChoice wrench(
      @RequestParam double targetNm,
      @RequestParam String handleMm,
      @RequestParam String adapterMm,
      @RequestParam String angleDeg) {
    return crib.choose(targetNm, handleMm, adapterMm, angleDeg);
  }

  @GetMapping(value = "/rebuilds/{id}/record.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> record(@PathVariable long id) {
    JobRecord all = bench.record(id);
    return pdf(all.pump().tag() + "-rebuild-" + id, record.pdf(all, photographs.printed(id)));
  }

  private static ResponseEntity<byte[]> pdf(String name, byte[] bytes) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + ".pdf\"")
        .contentType(MediaType.APPLICATION_PDF)
        .body(bytes);
  }
}
