package isokinon.server.work.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;

/**
 * Something done at the bench, as the screen sends it.
 *
 * @param key made by the screen once per act: sent twice, it is recorded once
 * @param seen number of the last event the person saw
 * @param who initials
 * @param act what was done
 */
public record ActRequest(
    @NotNull UUID key,
    long seen,
    @NotBlank @Size(max = 4) String who,
    @NotNull @Valid AskedAct act) {}
