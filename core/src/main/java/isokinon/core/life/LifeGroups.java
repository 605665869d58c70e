package isokinon.core.life;

import isokinon.core.value.Code;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The runs of a shop in groups that may be taken together: one pump, one construction, one duty, or
 * all duties; always of one role and material. Built once, asked often.
 */
public final class LifeGroups {

  /** How wide a group reaches. */
  public enum Level implements Code {
    /** One position. */
    PUMP,
    /** All positions of one construction in the same duty. */
    CONSTRUCTION,
    /** All positions in the same duty. */
    DUTY,
    /** All of the material, whatever the duty. */
    ANY_DUTY
  }

  /**
   * A run of one wear part in one place.
   *
   * @param pump position
   * @param construction sheet id, or empty
   * @param duty duty group: the fluid pumped most of the time
   * @param hours the run in hours
   * @param counts the run in the count that drives its wear; empty where nobody counted
   * @param fitted the day it went in
   * @param ended the day it came out; empty while it runs
   * @param cause what ended it where it failed
   */
  public record WearRun(
      String pump,
      String construction,
      String role,
      String material,
      String duty,
      Run hours,
      Optional<Run> counts,
      LocalDate fitted,
      Optional<LocalDate> ended,
      FailureCause cause) {

    /** A run of which nobody said what ended it. */
    public WearRun(
        String pump,
        String construction,
        String role,
        String material,
        String duty,
        Run hours,
        Optional<Run> counts,
        LocalDate fitted,
        Optional<LocalDate> ended) {
      this(
          pump,
          construction,
          role,
          material,
          duty,
          hours,
          counts,
          fitted,
          ended,
          FailureCause.UNKNOWN);
    }

    /** Where it failed of another cause, it says of this one that it had not come yet. */
    public WearRun only(FailureCause of) {
      return !hours.failed() || cause == of ? this : notYet();
    }

    /** Where it failed of this cause, it says of all others that they had not come yet. */
    public WearRun without(FailureCause of) {
      return hours.failed() && cause == of ? notYet() : this;
    }

    private WearRun notYet() {
      return new WearRun(
          pump,
          construction,
          role,
          material,
          duty,
          hours.sound(),
          counts.map(Run::sound),
          fitted,
          ended,
          cause);
    }

    /** Whether it still runs. */
    public boolean running() {
      return ended.isEmpty();
    }
  }

  /** Whose life is asked: a wear part in its place. */
  public record GroupKey(
      String pump, String construction, String role, String material, String duty) {

    /** What it has in common with the others of a width. */
    public GroupKey at(Level level) {
      return switch (level) {
        case PUMP -> this;
        case CONSTRUCTION -> new GroupKey("", construction, role, material, duty);
        case DUTY -> new GroupKey("", "", role, material, duty);
        case ANY_DUTY -> new GroupKey("", "", role, material, "");
      };
    }
  }

  /**
   * The runs of one group; what is counted over them is counted once, however many pumps ask.
   *
   * @param of what they have in common; empty where they may differ
   * @param failures how many failed
   * @param counted whether every run was counted in what drives the wear
   * @param otherThanAge whether somebody told of a failure that age did not bring
   */
  public record Group(
      Level level,
      GroupKey of,
      List<WearRun> runs,
      int failures,
      boolean counted,
      boolean otherThanAge) {

    /** A group of these runs. */
    public Group(Level level, GroupKey of, List<WearRun> runs) {
      this(
          level,
          of,
          runs,
          (int) runs.stream().filter(r -> r.hours().failed()).count(),
          !runs.isEmpty() && runs.stream().allMatch(r -> r.counts().isPresent()),
          runs.stream().anyMatch(r -> r.hours().failed() && !r.cause().byAge()));
    }

    private Group and(Group more) {
      List<WearRun> all = new ArrayList<>(runs.size() + more.runs.size());
      all.addAll(runs);
      all.addAll(more.runs);
      return new Group(
          level,
          of,
          Collections.unmodifiableList(all),
          failures + more.failures,
          counted && more.counted,
          otherThanAge || more.otherThanAge);
    }

    /** The runs as ages in hours, or in the count that drives the wear. */
    public List<Run> ages(boolean inCounts) {
      List<Run> ages = new ArrayList<>(runs.size());
      for (WearRun r : runs) {
        ages.add(inCounts ? r.counts().orElseThrow() : r.hours());
      }
      return ages;
    }

    /**
     * The same where only one cause ends a life: those that failed of another say it had not yet.
     */
    public Group only(FailureCause cause) {
      return new Group(level, of, runs.stream().map(r -> r.only(cause)).toList());
    }

    /** The same where only what comes with age ends a life, or only what does not. */
    public Group only(boolean byAge) {
      return new Group(
          level,
          of,
          runs.stream()
              .map(r -> r.hours().failed() && r.cause().byAge() != byAge ? r.notYet() : r)
              .toList());
    }

    /** The same where one cause ends no life any more. */
    public Group without(FailureCause cause) {
      return new Group(level, of, runs.stream().map(r -> r.without(cause)).toList());
    }

    /** The runs of it that came out on a day or after, and those that still run. */
    public Group since(LocalDate day) {
      return new Group(
          level,
          of,
          runs.stream().filter(r -> r.ended().map(e -> !e.isBefore(day)).orElse(true)).toList());
    }
  }

  private record Key(Level level, GroupKey of) {}

  private final Map<Key, Group> groups;

  /** Groups {@code runs}. */
  public LifeGroups(List<WearRun> runs) {
    this(Map.of(), runs);
  }

  private LifeGroups(Map<Key, Group> there, List<WearRun> more) {
    // By pump first: the wider groups are made of those, not of every run once more.
    Map<GroupKey, List<WearRun>> byPump = new LinkedHashMap<>();
    for (WearRun run : more) {
      GroupKey of =
          new GroupKey(run.pump(), run.construction(), run.role(), run.material(), run.duty());
      byPump.computeIfAbsent(of, k -> new ArrayList<>()).add(run);
    }
    Map<Key, List<WearRun>> byKey = new LinkedHashMap<>();
    byPump.forEach(
        (of, runs) -> {
          for (Level level : Level.values()) {
            byKey
                .computeIfAbsent(new Key(level, of.at(level)), k -> new ArrayList<>())
                .addAll(runs);
          }
        });
    groups = new LinkedHashMap<>(there);
    byKey.forEach(
        (key, of) -> {
          Group added = new Group(key.level(), key.of(), Collections.unmodifiableList(of));
          groups.merge(key, added, Group::and);
        });
  }

  /** These and {@code more}; a group to which nothing came is the same as before. */
  public LifeGroups and(List<WearRun> more) {
    return more.isEmpty() ? this : new LifeGroups(groups, more);
  }

  /** The group of {@code of} at one width; it may hold no run. */
  public Group at(Level level, GroupKey of) {
    GroupKey common = of.at(level);
    return Optional.ofNullable(groups.get(new Key(level, common)))
        .orElseGet(() -> new Group(level, common, List.of()));
  }

  /** Every group of one width, in the order its first run came. */
  public List<Group> all(Level level) {
    return groups.values().stream().filter(g -> g.level() == level).toList();
  }
}
