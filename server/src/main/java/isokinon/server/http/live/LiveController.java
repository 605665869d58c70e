package isokinon.server.http.live;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.work.live.LiveJobs;
import isokinon.server.work.live.LiveJobs.Moved;
import isokinon.server.work.live.LiveJobs.People;
import isokinon.server.work.live.LiveJobs.Present;
import isokinon.server.work.live.LiveJobs.Told;
import isokinon.server.work.rebuild.Jobs;
import isokinon.server.work.shared.RequestProblem;
import java.io.IOException;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** What happens at a job, as it happens. */
@RestController
@RequestMapping("/api/v1")
@Needs(Right.SEE)
@Tag(name = "live", description = "What happens at a job, as it happens")
class LiveController implements SmartLifecycle {

  /** A page asks again after that: who is not signed in any more is told nothing more. */
  private static final long LONGEST_MS = Duration.ofMinutes(5).toMillis();

  private static final int MOST_PAGES = 500;

  private final LiveJobs live;
  private final Jobs jobs;
  private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();
  private volatile boolean running;

  LiveController(LiveJobs live, Jobs jobs) {
    this.live = live;
    this.jobs = jobs;
  }

  /**
   * {@code people} with everybody who has the job open, on which device; {@code moved} with the
   * number of its last event when somebody acted. A stream ends after five minutes.
   */
  @GetMapping(value = "/rebuilds/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Operation(summary = "Streams who has a rebuild open and when somebody acts at it")
  SseEmitter live(@PathVariable long id, @Me SignedIn me) {
    jobs.job(id);
    if (open.size() >= MOST_PAGES) {
      throw RequestProblem.notNow("", "Too many pages are open: this one looks every 10 seconds.");
    }
    SseEmitter stream = new SseEmitter(LONGEST_MS);
    LiveJobs.Page page = told -> send(stream, told);
    open.add(stream);
    stream.onCompletion(
        () -> {
          open.remove(stream);
          live.leave(id, page);
        });
    stream.onTimeout(stream::complete);
    stream.onError(e -> stream.complete());
    live.open(id, new Present(me.initials(), me.device()), page);
    return stream;
  }

  private static boolean send(SseEmitter stream, Told told) {
    SseEmitter.SseEventBuilder event = SseEmitter.event();
    if (told instanceof People people) {
      event.name("people").data(people.present(), MediaType.APPLICATION_JSON);
    } else if (told instanceof Moved moved) {
      event.name("moved").data(moved, MediaType.APPLICATION_JSON);
    } else {
      event.comment("");
    }
    try {
      stream.send(event);
      return true;
    } catch (IOException | IllegalStateException gone) {
      return false; // nobody looks any more
    }
  }

  @Override
  public void start() {
    running = true;
  }

  /** Streams end before the server waits for its requests: they would go on for minutes. */
  @Override
  public void stop() {
    running = false;
    open.forEach(SseEmitter::complete);
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
