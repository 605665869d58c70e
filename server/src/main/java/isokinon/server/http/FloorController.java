package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.work.floor.Floor;
import isokinon.server.work.floor.Strips;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The floor. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "floor", description = "The floor")
class FloorController {

  private final Floor floor;
  private final Strips strips;

  FloorController(Floor floor, Strips strips) {
    this.floor = floor;
    this.strips = strips;
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
}
