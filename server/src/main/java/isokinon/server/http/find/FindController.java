package isokinon.server.http.find;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.work.find.Finder;
import isokinon.server.work.find.Found;
import isokinon.server.work.shared.RequestProblem;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Finding anything by a word or by the code on its label. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "find", description = "Finding by a word or a code")
class FindController {

  /** Nobody types more; a scanner's longest code is shorter. */
  private static final int MOST_CHARACTERS = 100;

  private final Finder finder;

  FindController(Finder finder) {
    this.finder = finder;
  }

  @GetMapping("/find")
  @Operation(summary = "Pumps, units, lots, jobs, people, fluids, materials, sheets by a word")
  List<Found> find(@RequestParam String word) {
    if (word.length() > MOST_CHARACTERS) {
      throw RequestProblem.invalid(
          "word", "At most " + MOST_CHARACTERS + " characters are looked for.");
    }
    return finder.find(word);
  }
}
