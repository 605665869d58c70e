package isokinon.server.work.bench;

import isokinon.core.act.Observation;
import jakarta.validation.constraints.NotNull;

/**
 * Something observed of the pump before it is stripped.
 *
 * @param kind what the id names, and how it was answered
 * @param id symptom or test, id
 */
public record Observed(@NotNull Observation.Kind kind, @NotNull @Identifier String id) {
  Observation observation() {
    return new Observation(kind, id);
  }
}
