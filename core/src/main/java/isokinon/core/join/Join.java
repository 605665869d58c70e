package isokinon.core.join;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.ActRefusal;
import isokinon.core.rules.Actor;
import isokinon.core.value.Code;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Puts what was done away from the server into the job as it stands there now. Acts go in one after
 * the other by the rules of the bench. What answers the same as somebody else's act meanwhile, and
 * what the rules refuse now, is for a person to decide. Nothing is dropped: what does not go in as
 * an act goes in as a note.
 */
public final class Join {

  /**
   * An act that waited.
   *
   * @param key made once per act
   * @param at when it was done
   */
  public record Kept(String key, Act act, Instant at) {}

  /** Which of two answers stands. */
  public enum Decision implements Code {
    MINE,
    THEIRS
  }

  /** What becomes of an act that waited. */
  public enum Fate implements Code {
    /** It is recorded. */
    GOES_IN,
    /** Somebody else did the same meanwhile: it stands beside theirs as a note. */
    SAME,
    /** Somebody else answered the same otherwise: a person decides. */
    TWICE,
    /** The rules refuse it as the job stands now: it goes in as a note, once somebody says so. */
    REFUSED
  }

  /**
   * An act that waited, and what becomes of it.
   *
   * @param theirs what it is held against; empty where nothing
   * @param because why it is refused; empty elsewhere
   * @param decision what a person decided; empty where nothing is to decide, or nobody did yet
   */
  public record Point(
      Kept kept,
      Fate fate,
      Optional<BenchEvent<?>> theirs,
      String because,
      Optional<Decision> decision) {

    /** Whether a person has still to decide. */
    public boolean open() {
      return (fate == Fate.TWICE || fate == Fate.REFUSED) && decision.isEmpty();
    }

    /** Whether it is recorded as the act it is; else it is recorded as a note. */
    public boolean goesIn() {
      return fate == Fate.GOES_IN
          || (fate == Fate.TWICE && decision.equals(Optional.of(Decision.MINE)));
    }
  }

  /** What the rules say to an act. */
  @FunctionalInterface
  public interface Rules {
    /** Why it is refused; empty where it is not. */
    Optional<ActRefusal> refuse(Rebuild rebuild, Act act, Instant at);
  }

  private Join() {}

  /**
   * What becomes of each act.
   *
   * @param now the job as it stands on the server
   * @param meanwhile what others did there since the tablet last saw it, in order
   * @param kept acts that waited, in order
   * @param decided decisions by the key of the act
   * @param actor whose acts they are
   */
  public static List<Point> of(
      Rebuild now,
      List<BenchEvent<?>> meanwhile,
      List<Kept> kept,
      Map<String, Decision> decided,
      Actor actor,
      Rules rules) {
    List<Point> points = new ArrayList<>();
    Rebuild rebuild = now;
    for (Kept k : kept) {
      Point point = point(rebuild, meanwhile, k, Optional.ofNullable(decided.get(k.key())), rules);
      points.add(point);
      if (point.goesIn()) {
        rebuild =
            rebuild.plus(
                new BenchEvent<>(
                    rebuild.seq() + 1, k.at(), actor.initials(), actor.lead(), k.act()));
      }
    }
    return points;
  }

  private static Point point(
      Rebuild rebuild,
      List<BenchEvent<?>> meanwhile,
      Kept kept,
      Optional<Decision> decision,
      Rules rules) {
    Optional<BenchEvent<?>> theirs = answering(meanwhile, kept.act());
    if (theirs.map(t -> says(t.act(), kept.act())).orElse(false)) {
      return new Point(kept, Fate.SAME, theirs, "", Optional.empty());
    }
    Optional<ActRefusal> refused = rules.refuse(rebuild, kept.act(), kept.at());
    if (refused.isPresent()) {
      return new Point(
          kept,
          Fate.REFUSED,
          theirs,
          refused.get().message(),
          decision.filter(d -> d == Decision.THEIRS));
    }
    return theirs.isPresent()
        ? new Point(kept, Fate.TWICE, theirs, "", decision)
        : new Point(kept, Fate.GOES_IN, theirs, "", Optional.empty());
  }

  /** The last act of others that answers the same. */
  private static Optional<BenchEvent<?>> answering(List<BenchEvent<?>> meanwhile, Act act) {
    Optional<List<Object>> subject = Subject.of(act);
    return subject.isEmpty()
        ? Optional.empty()
        : meanwhile.stream()
            .filter(e -> Subject.of(e.act()).equals(subject))
            .reduce((a, b) -> b)
            .map(e -> e);
  }

  private static boolean says(Act theirs, Act mine) {
    return Subject.saysOnlyDone(mine) || theirs.equals(mine);
  }
}
