package isokinon.server.http.photographs;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.photograph.PhotographMark;
import isokinon.core.photograph.PhotographOf;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.http.security.Me;
import isokinon.server.work.photographs.PhotographView;
import isokinon.server.work.photographs.PhotographView.BesideLastTime;
import isokinon.server.work.photographs.PhotographView.PhotographsOfJob;
import isokinon.server.work.photographs.Photographs;
import isokinon.server.work.photographs.SmallPicture;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photographs of jobs. They never leave the shop. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "photographs", description = "Photographs of jobs, and what is drawn on them")
class PhotographController {

  /** Longest picture that is sent: of a tablet's camera, as it comes. */
  private static final long MOST_SENT = 12_000_000;

  private final Photographs photographs;

  PhotographController(Photographs photographs) {
    this.photographs = photographs;
  }

  /** What is drawn on a photograph, all of it. */
  record MarksForm(@NotNull @Size(max = PhotographMark.MOST) List<PhotographMark> marks) {}

  @GetMapping("/rebuilds/{id}/photographs")
  @Operation(summary = "The photographs of a rebuild, in the order in which they were taken")
  PhotographsOfJob all(@PathVariable long id) {
    return photographs.of(id);
  }

  @GetMapping("/rebuilds/{id}/photographs/beside")
  @Operation(summary = "The photographs of one thing, and those of it the last time")
  BesideLastTime beside(
      @PathVariable long id, @RequestParam PhotographOf of, @RequestParam String subject) {
    return photographs.beside(id, of, subject);
  }

  @PostMapping(
      value = "/rebuilds/{id}/photographs",
      consumes = {MediaType.IMAGE_JPEG_VALUE, MediaType.IMAGE_PNG_VALUE})
  @MostBytes(MOST_SENT)
  @Needs(Right.WORK)
  @Operation(summary = "Keeps a photograph, made small and without where it was taken")
  PhotographView take(
      @PathVariable long id,
      @RequestParam PhotographOf of,
      @RequestParam @Size(max = 80) String subject,
      @RequestParam @Size(min = 1, max = 60) String key,
      @RequestBody byte[] picture,
      @Me SignedIn me) {
    return photographs.take(id, of, subject, key, SmallPicture.of(picture), me.initials());
  }

  @GetMapping(value = "/photographs/{id}.jpg", produces = MediaType.IMAGE_JPEG_VALUE)
  @Operation(summary = "The picture of a photograph, without what is drawn on it")
  ResponseEntity<byte[]> picture(@PathVariable long id) {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
        .contentType(MediaType.IMAGE_JPEG)
        .body(photographs.picture(id));
  }

  @PutMapping("/photographs/{id}/marks")
  @Needs(Right.WORK)
  @Operation(summary = "Draws on a photograph anew")
  PhotographView mark(@PathVariable long id, @Valid @RequestBody MarksForm form) {
    return photographs.mark(id, form.marks());
  }

  @DeleteMapping("/photographs/{id}")
  @Needs(Right.WORK)
  @Operation(summary = "Takes a photograph out while its job is in hand")
  void remove(@PathVariable long id) {
    photographs.remove(id);
  }
}
