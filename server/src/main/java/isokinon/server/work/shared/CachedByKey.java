package isokinon.server.work.shared;

import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * Values by key, each made when first asked for; all are forgotten once the data they come from
 * have changed.
 *
 * @param <K> the key
 * @param <T> the value; never null, and not changed by whoever reads it
 */
public final class CachedByKey<K, T> {

  private final Cached<Map<K, T>> values;

  /** Values that come from data of these topics. */
  public CachedByKey(DataVersions versions, Set<Topic> topics) {
    values = Cached.of(versions, topics, ConcurrentHashMap::new);
  }

  /** The value of a key, made by {@code make} where it is not known yet. */
  public T get(K key, Function<K, T> make) {
    Map<K, T> known = values.get();
    T value = known.get(key);
    if (value == null) {
      // Not inside computeIfAbsent: making one value may ask for another.
      value = make.apply(key);
      known.put(key, value);
    }
    return value;
  }
}
