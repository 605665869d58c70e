package isokinon.server.work.bench;

import isokinon.core.rebuild.Act;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/**
 * Something done at the bench, as the screen sends it.
 *
 * @param key made by the screen once per act: sent twice, it is recorded once
 * @param seen number of the last event the person saw
 * @param who initials
 * @param kind what was done
 * @param step strip or build step
 * @param subject part, check, hazard, test, role or lot; for JUDGED the part
 * @param measure for JUDGED, which limit of the part was measured
 * @param pass torque pass
 * @param fastener fastener number
 * @param typed a reading as it was typed
 * @param unit the unit the field was set to; empty for the sheet's
 * @param text reason, note, or "clicked" for a click wrench
 * @param items parts, verdict, material
 */
public record ActRequest(
    @NotNull UUID key,
    long seen,
    @NotBlank @Size(max = 4) String who,
    @NotNull Act.Kind kind,
    @Size(max = 80) String step,
    @Size(max = 80) String subject,
    @Size(max = 80) String measure,
    int pass,
    int fastener,
    @Size(max = 200) String typed,
    @Size(max = 20) String unit,
    @Size(max = 2000) String text,
    @Size(max = 200) List<@Size(max = 120) String> items) {

  /** Absent texts count as empty. */
  public ActRequest {
    step = step == null ? "" : step;
    subject = subject == null ? "" : subject;
    measure = measure == null ? "" : measure;
    typed = typed == null ? "" : typed;
    unit = unit == null ? "" : unit;
    text = text == null ? "" : text;
    items = items == null ? List.of() : List.copyOf(items);
  }
}
