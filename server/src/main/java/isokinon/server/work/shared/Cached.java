package isokinon.server.work.shared;

import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * A value that is made when first asked for, and again once the data it comes from have changed.
 * Two who ask at the same moment may both make it; they make the same.
 *
 * @param <T> the value; never null, and not changed by whoever reads it
 */
public final class Cached<T> {

  private record Made<T>(long version, Object key, T value) {}

  private final DataVersions versions;
  private final Set<Topic> topics;
  private final Supplier<T> make;
  private final Supplier<?> key;
  private volatile Optional<Made<T>> made = Optional.empty();

  private Cached(DataVersions versions, Set<Topic> topics, Supplier<?> key, Supplier<T> make) {
    this.versions = versions;
    this.topics = topics;
    this.key = key;
    this.make = make;
  }

  /** A value that comes from data of these topics alone. */
  public static <T> Cached<T> of(DataVersions versions, Set<Topic> topics, Supplier<T> make) {
    return new Cached<>(versions, Set.copyOf(topics), () -> "", make);
  }

  /**
   * A value that comes from data of these topics and from something else as well, such as the day.
   *
   * @param key what else it comes from; the value is made again when this is no longer equal
   */
  public static <T> Cached<T> by(
      Supplier<?> key, DataVersions versions, Set<Topic> topics, Supplier<T> make) {
    return new Cached<>(versions, Set.copyOf(topics), key, make);
  }

  /** The value as the data are now. */
  public T get() {
    long version = versions.of(topics);
    Object now = key.get();
    Optional<Made<T>> known = made;
    if (known.isPresent() && known.get().version() == version && known.get().key().equals(now)) {
      return known.get().value();
    }
    // The version is read before the value is made: a change meanwhile makes it again next time.
    T value = make.get();
    made = Optional.of(new Made<>(version, now, value));
    return value;
  }
}
