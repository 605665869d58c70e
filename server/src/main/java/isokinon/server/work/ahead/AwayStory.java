package isokinon.server.work.ahead;

import isokinon.core.join.Join;
import isokinon.server.work.bench.AskedAct;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * What was done on a device without the server.
 *
 * @param seen number of the last event that the device had seen
 * @param acts in the order they were done
 * @param decided which of two answers stands, by the key of the act that waited
 * @param record whether it is recorded, once nothing is left to decide; else it is only looked at
 */
public record AwayStory(
    @Min(0) long seen,
    @NotNull @Size(max = 2000) List<@NotNull @Valid KeptAct> acts,
    @Size(max = 2000) Map<UUID, Join.Decision> decided,
    boolean record) {

  /** A month, s: longer no act waits. */
  private static final long LONGEST = 2_700_000;

  /**
   * An act that waited.
   *
   * @param key made by the screen once per act: sent twice, it is recorded once
   * @param act what was done
   * @param secondsAgo how long ago it was done, s: the clocks of two machines need not agree
   */
  public record KeptAct(
      @NotNull UUID key, @Min(0) @Max(LONGEST) long secondsAgo, @NotNull @Valid AskedAct act) {}
}
