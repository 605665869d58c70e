package isokinon.core.act;

import java.time.Instant;

/**
 * An act as it was recorded: never changed, never removed.
 *
 * @param <A> kind of act
 * @param seq number within the rebuild, from 1
 * @param at when
 * @param who initials
 * @param lead whether that person leads
 * @param act what
 */
public record BenchEvent<A extends Act>(long seq, Instant at, String who, boolean lead, A act) {

  /** The same event, whose act is known to be {@code known}. */
  public <B extends Act> BenchEvent<B> of(B known) {
    return new BenchEvent<>(seq, at, who, lead, known);
  }
}
