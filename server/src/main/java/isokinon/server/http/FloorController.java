package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.MostBytes;
import isokinon.server.http.security.Me;
import isokinon.server.work.floor.Floor;
import isokinon.server.work.floor.Strips;
import isokinon.server.work.history.Counters;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The floor and the counters of every pump. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "floor", description = "Floor, counters")
class FloorController {

  private final Floor floor;
  private final Strips strips;
  private final Counters counters;

  FloorController(Floor floor, Strips strips, Counters counters) {
    this.floor = floor;
    this.strips = strips;
    this.counters = counters;
  }

  @GetMapping("/floor")
  Floor.FloorView floor() {
    return floor.view();
  }

  @GetMapping("/floor/strips")
  @Operation(summary = "The running-out strips of pumps by tag, at most a hundred at once")
  List<Strips.Strip> strips(@RequestParam List<String> tags) {
    return strips.of(tags);
  }

  @PostMapping(value = "/counters", consumes = "text/csv")
  @Needs(Right.WORK)
  @MostBytes(16L << 20)
  @Operation(summary = "Takes hour and stroke counters in by pump, all of the table or nothing")
  Counters.CounterReport counters(
      @RequestParam(defaultValue = "false") boolean dryRun,
      @RequestBody String csv,
      @Me SignedIn me) {
    return counters.bring(csv, me.initials(), dryRun);
  }
}
