package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.papers.ChoiceSheet;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.shared.Require;
import isokinon.server.work.shared.Text;
import isokinon.server.work.wetends.ChooserView;
import isokinon.server.work.wetends.WetEnds;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Wet ends for a duty, and the duty a pump has. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "wet-ends", description = "Wet ends, duties")
class WetEndController {

  private final WetEnds wetEnds;
  private final ChoiceSheet choiceSheet;
  private final Clock clock;

  WetEndController(WetEnds wetEnds, ChoiceSheet choiceSheet, Clock clock) {
    this.wetEnds = wetEnds;
    this.choiceSheet = choiceSheet;
    this.clock = clock;
  }

  @GetMapping("/pumps/{tag}/wet-ends")
  ChooserView wetEnds(@PathVariable String tag) {
    return wetEnds.view(tag);
  }

  /**
   * A duty that is written down.
   *
   * @param duty as it is
   * @param alwaysSo whether it was so all along; from today on where it is left out
   */
  record DutyRequest(DutyForm duty, Boolean alwaysSo) {}

  @PutMapping("/pumps/{tag}/duty")
  @Needs(Right.LEAD)
  @Operation(summary = "Writes a pump's duty down")
  ChooserView changeDuty(
      @PathVariable String tag, @RequestBody DutyRequest changed, @Me SignedIn me) {
    return wetEnds.change(
        tag,
        Require.present("duty", changed.duty()),
        Boolean.TRUE.equals(changed.alwaysSo()),
        me.initials());
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
}
