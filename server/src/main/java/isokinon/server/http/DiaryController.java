package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.papers.CalendarFile;
import isokinon.server.papers.Labels;
import isokinon.server.papers.Labels.Label;
import isokinon.server.work.diary.Diary;
import isokinon.server.work.diary.DiaryView;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.stores.LabelText;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The diary of the bench, and labels to hang on what is planned. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "diary", description = "Six weeks of work, its calendar file, labels")
class DiaryController {

  private static final int MOST_LABELS = 200;

  private final Diary diary;
  private final CalendarFile calendar;
  private final Labels labels;
  private final LabelText labelText;

  DiaryController(Diary diary, CalendarFile calendar, Labels labels, LabelText labelText) {
    this.diary = diary;
    this.calendar = calendar;
    this.labels = labels;
    this.labelText = labelText;
  }

  @GetMapping("/diary")
  DiaryView view() {
    return diary.view();
  }

  @PostMapping("/diary/plan")
  @Needs(Right.WORK)
  @Operation(summary = "Places every job again, around those that people put somewhere")
  DiaryView plan(@Me SignedIn me) {
    return diary.plan(me.initials());
  }

  @PostMapping("/diary/pin")
  @Needs(Right.WORK)
  @Operation(summary = "Puts a job somewhere, or lets it go, and places the others around it")
  DiaryView pin(@RequestBody Diary.PinRequest request, @Me SignedIn me) {
    return diary.pin(request, me.initials());
  }

  @GetMapping(value = "/diary.ics", produces = "text/calendar")
  @Operation(summary = "The diary as an iCalendar file")
  String ics() {
    return calendar.of(diary.planned());
  }

  @GetMapping(value = "/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  @Operation(summary = "Labels with QR codes for pumps and lots")
  byte[] labels(
      @RequestParam(defaultValue = "") List<String> pumps,
      @RequestParam(defaultValue = "") List<String> lots) {
    List<Label> all = new ArrayList<>();
    pumps.forEach(p -> all.add(new Label(p, labelText.ofPump(p))));
    lots.forEach(l -> all.add(new Label(l, labelText.ofLot(l))));
    if (all.isEmpty() || all.size() > MOST_LABELS) {
      throw RequestProblem.invalid("pumps", "Name 1 to " + MOST_LABELS + " pumps or lots.");
    }
    return labels.pdf(all);
  }
}
