package isokinon.server.work.rounds;

import isokinon.server.work.bench.Identifier;
import isokinon.server.work.bench.TypedReading;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * A round is done.
 *
 * @param key made by the device once for the round in hand, so that it counts once
 * @param answers a check that was confirmed or read
 * @param note what was seen, or why a check was left
 */
public record RoundRequest(
    @NotBlank @Identifier String key,
    @Size(max = 100) List<@NotNull @Valid TypedAnswer> answers,
    @Size(max = 2000) String note) {

  /**
   * An answer.
   *
   * @param check its id
   * @param reading what was read; left out where the check is confirmed
   */
  public record TypedAnswer(@NotNull @Identifier String check, @Valid TypedReading reading) {}
}
