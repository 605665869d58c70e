package isokinon.server.work.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.UUID;

/**
 * Something done at the bench, as the screen sends it.
 *
 * @param key made by the screen once per act: sent twice, it is recorded once
 * @param seen number of the last event the person saw
 * @param act what was done
 * @param signer another person, who signs for this act here with a PIN of their own; absent where
 *     who is signed in does it
 */
public record ActRequest(
    @NotNull UUID key, long seen, @NotNull @Valid AskedAct act, Optional<@Valid Signer> signer) {

  /** Who signs, and the PIN or pass phrase, which is kept nowhere. */
  public record Signer(
      @NotBlank @Size(max = 4) String initials, @NotBlank @Size(max = 100) String pin) {

    @Override
    public String toString() {
      return initials; // so that a PIN stands in no log
    }
  }
}
