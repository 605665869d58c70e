package isokinon.server.work.pumps;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import isokinon.core.wetend.Duty;
import isokinon.server.db.pumps.PastDutyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.RequestProblem;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The duties that pumps had before the ones they have now. */
@Component
public class PastDuties {

  /**
   * A duty that is over.
   *
   * @param until the day on which it ended
   */
  public record Past(LocalDate until, Duty duty) {}

  private final PumpMapper store;
  private final ShopLibrary library;
  private final ObjectMapper json;
  private final ObjectReader reader;
  private final Clock clock;

  public PastDuties(PumpMapper store, ShopLibrary library, ObjectMapper json, Clock clock) {
    this.store = store;
    this.library = library;
    this.json = json;
    this.reader =
        json.readerFor(DutyForm.class).without(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);
    this.clock = clock;
  }

  /** Keeps the duty of a pump that ends today, where the one that follows is another. */
  public void keep(String pump, DutyForm before, Duty after, String who) {
    Optional<Duty> was = read(before);
    if (was.isEmpty() || was.get().exposures().isEmpty() || was.get().equals(after)) {
      return;
    }
    try {
      store.keepDuty(
          new PastDutyRow(
              pump,
              LocalDate.now(clock),
              json.writeValueAsString(before),
              who,
              OffsetDateTime.now(clock)));
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a duty that cannot be written down", e);
    }
  }

  /** The past duties of each pump that had any, the first one first. */
  public Map<String, List<Past>> all() {
    Map<String, List<Past>> all = new LinkedHashMap<>();
    for (PastDutyRow row : store.pastDuties()) {
      form(row)
          .flatMap(this::read)
          .ifPresent(
              duty ->
                  all.computeIfAbsent(row.pump(), p -> new ArrayList<>())
                      .add(new Past(row.untilOn(), duty)));
    }
    return all;
  }

  private Optional<DutyForm> form(PastDutyRow row) {
    try {
      return Optional.of(reader.readValue(row.duty()));
    } catch (JsonProcessingException e) {
      // One that a later version wrote otherwise tells nothing.
      return Optional.empty();
    }
  }

  private Optional<Duty> read(DutyForm form) {
    try {
      return Optional.of(form.duty(library));
    } catch (RequestProblem e) {
      // A duty that was never written down right tells nothing of the life in it.
      return Optional.empty();
    }
  }
}
