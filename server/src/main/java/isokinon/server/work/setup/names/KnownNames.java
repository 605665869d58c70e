package isokinon.server.work.setup.names;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;

/** The names that are known here, by kind: what columns may hold, and what is nearest to a word. */
public final class KnownNames {

  /** Under this likeness nothing is offered: it would be chance. */
  private static final double LEAST_LIKE = 0.78;

  private static final Pattern NO_LETTERS = Pattern.compile("[^\\p{L}\\p{N}]+");
  private static final JaroWinklerSimilarity LIKENESS = new JaroWinklerSimilarity();

  /**
   * A name.
   *
   * @param code as it is kept
   * @param name as it is shown
   * @param aliases other words for it
   */
  public record Known(String code, String name, List<String> aliases) {}

  private final ZoneId zone;
  private final Map<Names, Map<String, String>> byWord = new EnumMap<>(Names.class);
  private final Map<Names, List<Known>> all = new EnumMap<>(Names.class);

  /**
   * Nothing yet.
   *
   * @param zone by whose clock moments are told
   */
  public KnownNames(ZoneId zone) {
    this.zone = zone;
  }

  /** By whose clock moments are told. */
  public ZoneId zone() {
    return zone;
  }

  /** Makes these known, in their order. */
  public void add(Names of, List<Known> names) {
    all.computeIfAbsent(of, n -> new ArrayList<>()).addAll(names);
    Map<String, String> words = byWord.computeIfAbsent(of, n -> new LinkedHashMap<>());
    for (Known k : names) {
      words.put(plain(k.code()), k.code());
      words.putIfAbsent(plain(k.name()), k.code());
      k.aliases().forEach(a -> words.putIfAbsent(plain(a), k.code()));
    }
  }

  /** All of a kind. */
  public List<Known> all(Names of) {
    return all.getOrDefault(of, List.of());
  }

  /** The code of what is called so; empty where nothing is. */
  public Optional<String> known(Names of, String word) {
    return Optional.ofNullable(byWord.getOrDefault(of, Map.of()).get(plain(word)));
  }

  /**
   * A name that is like a word.
   *
   * @param like how like it is, 0 to 100; 100 is the same word
   */
  public record Near(String code, String name, int like) {}

  /**
   * What is nearest to a word by name and alias, the nearest first; nothing is ever taken by
   * itself.
   */
  public List<Near> nearest(Names of, String word, int most) {
    return all(of).stream()
        .map(k -> new Near(k.code(), k.name(), (int) Math.round(100 * likeness(k, word))))
        .filter(n -> n.like() >= 100 * LEAST_LIKE)
        .sorted(Comparator.comparingInt(Near::like).reversed())
        .limit(most)
        .toList();
  }

  private static double likeness(Known k, String word) {
    double best = Math.max(likeness(k.code(), word), likeness(k.name(), word));
    for (String alias : k.aliases()) {
      best = Math.max(best, likeness(alias, word));
    }
    return best;
  }

  /** How like two words are, 0 to 1, letters only. */
  public static double likeness(String one, String other) {
    return LIKENESS.apply(plain(one), plain(other));
  }

  private static String plain(String word) {
    return NO_LETTERS.matcher(word.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
  }
}
