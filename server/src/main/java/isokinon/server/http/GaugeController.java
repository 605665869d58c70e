package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.gauge.Gauge;
import isokinon.server.gauge.SimulatedGauge.Condition;
import isokinon.server.http.security.Me;
import isokinon.server.work.instruments.Gauges;
import isokinon.server.work.shared.RequestProblem;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Reading devices: which there are, and their readings as they come. */
@RestController
@RequestMapping("/api/v1/gauges")
@Needs(Right.SEE)
@Tag(name = "gauges", description = "Reading devices, here simulated stand-ins")
class GaugeController implements DisposableBean {

  private static final long EVERY_MS = 200;
  private static final int MOST_SAMPLES = 150;

  /** So many gauges are listened to at once in any shop, */
  private static final int MOST_STREAMS = 200;

  /** and so many by one person on one device. */
  private static final int MOST_OF_EACH = 6;

  private static final int READERS = 2;

  private final Gauges gauges;
  private final AtomicInteger open = new AtomicInteger();
  private final Map<String, AtomicInteger> openOfEach = new ConcurrentHashMap<>();
  private final ScheduledExecutorService clockwork =
      Executors.newScheduledThreadPool(
          READERS,
          task -> {
            Thread thread = new Thread(task, "gauges");
            thread.setDaemon(true);
            return thread;
          });

  GaugeController(Gauges gauges) {
    this.gauges = gauges;
  }

  @GetMapping
  List<Gauges.GaugeView> all(
      @RequestParam(defaultValue = "") String unit,
      @RequestParam(defaultValue = "") String measure) {
    return gauges.all(unit, measure);
  }

  @PutMapping("/{id}/stand-in")
  @Needs(Right.WORK)
  @Operation(summary = "Sets what is the matter with a simulated gauge")
  Gauges.GaugeView pretend(@PathVariable String id, @RequestParam Condition condition) {
    return gauges.pretend(id, condition);
  }

  /**
   * Readings as they come, five a second for half a minute: {@code sample} with value, unit, steady
   * and batteryPct; {@code silent} with a sentence where the device does not answer.
   */
  @GetMapping(value = "/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Needs(Right.WORK)
  @Operation(summary = "Streams a gauge's readings as server-sent events")
  SseEmitter stream(
      @PathVariable String id,
      @RequestParam(defaultValue = "0") long rebuild,
      @RequestParam(defaultValue = "") String pump,
      @RequestParam(defaultValue = "") String subject,
      @RequestParam(defaultValue = "") String measure,
      @Me SignedIn me) {
    Gauge gauge =
        pump.isEmpty()
            ? gauges.open(id, rebuild, subject, measure)
            : gauges.openCounter(id, pump, measure);
    AtomicInteger ofMe =
        openOfEach.computeIfAbsent(me.initials() + " " + me.device(), w -> new AtomicInteger());
    if (!entered(ofMe, MOST_OF_EACH)) {
      throw tooMany();
    }
    if (!entered(open, MOST_STREAMS)) {
      ofMe.decrementAndGet();
      throw tooMany();
    }
    SseEmitter stream = new SseEmitter(EVERY_MS * MOST_SAMPLES * 2);
    AtomicInteger sent = new AtomicInteger();
    AtomicReference<ScheduledFuture<?>> running = new AtomicReference<>();
    Runnable stop =
        () -> {
          ScheduledFuture<?> task = running.get();
          if (task != null) {
            task.cancel(false);
          }
        };
    stream.onCompletion(
        () -> {
          open.decrementAndGet();
          ofMe.decrementAndGet();
          stop.run();
        });
    stream.onTimeout(stop);
    stream.onError(e -> stop.run());
    running.set(
        clockwork.scheduleAtFixedRate(
            () -> {
              if (!send(stream, gauge) || sent.incrementAndGet() >= MOST_SAMPLES) {
                stop.run();
                stream.complete();
              }
            },
            0,
            EVERY_MS,
            TimeUnit.MILLISECONDS));
    return stream;
  }

  private static boolean entered(AtomicInteger there, int most) {
    return there.getAndUpdate(n -> Math.min(n + 1, most)) < most;
  }

  private static RequestProblem tooMany() {
    return RequestProblem.notNow(
        "", "Too many gauges are listened to at once: close a page that does, then try again.");
  }

  private static boolean send(SseEmitter stream, Gauge gauge) {
    try {
      stream.send(SseEmitter.event().name("sample").data(gauge.sample()));
      return true;
    } catch (Gauge.Silent e) {
      try {
        stream.send(SseEmitter.event().name("silent").data(Map.of("say", e.getMessage())));
      } catch (IOException | IllegalStateException gone) {
        return false; // nobody listens any more
      }
      return false;
    } catch (IOException | IllegalStateException gone) {
      return false; // nobody listens any more
    }
  }

  @Override
  public void destroy() {
    clockwork.shutdownNow();
  }
}
