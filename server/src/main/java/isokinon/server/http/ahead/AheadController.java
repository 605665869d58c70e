package isokinon.server.http.ahead;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Hands;
import isokinon.server.http.security.Me;
import isokinon.server.work.ahead.AheadView;
import isokinon.server.work.ahead.AwayStory;
import isokinon.server.work.ahead.JoinView;
import isokinon.server.work.ahead.Stories;
import isokinon.server.work.ahead.WorkedOut;
import isokinon.server.work.live.LiveJobs;
import jakarta.validation.Valid;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A job on a tablet that goes where the server is not. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(
    name = "away",
    description = "A job worked out ahead, and what was done of it without the server")
class AheadController {

  private final WorkedOut workedOut;
  private final Stories stories;
  private final Hands hands;
  private final LiveJobs live;

  AheadController(WorkedOut workedOut, Stories stories, Hands hands, LiveJobs live) {
    this.workedOut = workedOut;
    this.stories = stories;
    this.hands = hands;
    this.live = live;
  }

  /**
   * The situations a job usually comes to, from the one it is in, and what every act and reading
   * leads to there: enough to go on without the server.
   */
  @GetMapping("/rebuilds/{id}/ahead")
  @Operation(summary = "A rebuild worked out ahead, to be carried on without the server")
  AheadView ahead(@PathVariable long id, @Me SignedIn me) {
    return workedOut.ahead(id, Hands.actor(me));
  }

  /**
   * Acts that were done without the server, beside what was done on it meanwhile; recorded as one
   * story where that is asked and nothing is left to decide.
   */
  @PostMapping("/rebuilds/{id}/join")
  @Needs(Right.WORK)
  @Operation(summary = "Joins acts that were done without the server to a rebuild")
  JoinView join(@PathVariable long id, @Valid @RequestBody AwayStory story, @Me SignedIn me) {
    JoinView joined = stories.join(id, story, hands.of(me, Optional.empty()));
    if (joined.recorded()) {
      live.moved(id, joined.view().seq());
    }
    return joined;
  }
}
