package isokinon.server.work.setup;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** The tables that are being brought at this moment, by the word that whoever brings them gave. */
@Component
public class Bringings {

  private record Of(String who, BringProgress progress) {}

  private final Map<String, Of> now = new ConcurrentHashMap<>();

  /**
   * Brings something, and lets its progress be asked for meanwhile.
   *
   * @param word by which it is asked for; null or empty where nobody asks
   * @param who initials of who may stop it
   */
  <T> T watched(String word, String who, Function<BringProgress, T> bringing) {
    BringProgress progress = new BringProgress();
    if (word == null || word.isEmpty()) {
      return bringing.apply(progress);
    }
    Of of = new Of(who, progress);
    now.put(word, of);
    try {
      return bringing.apply(progress);
    } finally {
      now.remove(word, of);
    }
  }

  /** How far it is; idle where nothing is brought under this word. */
  public BringProgressView progress(String word) {
    Of of = now.get(word);
    return of == null ? BringProgressView.IDLE : of.progress().now();
  }

  /** Stops what this person brings under this word; where there is nothing, nothing is stopped. */
  public void stop(String word, String who) {
    Of of = now.get(word);
    if (of != null && of.who().equals(who)) {
      of.progress().stop();
    }
  }
}
