package isokinon.core.rebuild;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A waiting time: it runs from something that was done, whether or not anyone looks, and across a
 * restart, because the event it began with is kept.
 *
 * @param kind what is waited for
 * @param subject step or test it belongs to
 * @param since when it began
 * @param lasts how long it takes
 * @param settled when what it called for was done; empty where that is open, or nothing is called
 *     for
 */
public record Wait(
    Kind kind, String subject, Instant since, Duration lasts, Optional<Instant> settled) {

  /** What is waited for. */
  public enum Kind implements Code {
    /** Drying, or leaving a part alone; steps that need it wait. */
    DRYING,
    /** Threadlocker cures; the pump is not started before. */
    CURE,
    /** A joint settles and is then tightened again. */
    RETORQUE,
    /** Looked at again after some hours of running. */
    FOLLOW_UP,
    /** The clock of a test. */
    TEST;

    /** Whether someone has to do something once it is over. */
    public boolean callsForWork() {
      return this == RETORQUE || this == FOLLOW_UP;
    }
  }

  /** When it is over. */
  public Instant until() {
    return since.plus(lasts);
  }

  /** Whether it is over at {@code now}. */
  public boolean over(Instant now) {
    return !now.isBefore(until());
  }

  /** Whether it still matters at {@code now}: it runs, or what it called for is not done. */
  public boolean open(Instant now) {
    return settled.isEmpty() && (!over(now) || kind.callsForWork());
  }

  /** Every waiting time a rebuild has begun, in the order in which they are over. */
  static List<Wait> of(Rebuild rebuild) {
    List<Wait> waits = new ArrayList<>();
    Sheet sheet = rebuild.sheet();
    rebuild
        .builtAt()
        .forEach(
            (step, at) -> {
              sheet
                  .buildOnlyStep(step)
                  .map(BuildOnlyStep::waitMinutes)
                  .filter(m -> m > 0)
                  .ifPresent(m -> waits.add(at(Kind.DRYING, step, at, m / 60, rebuild)));
              sheet
                  .fastening(step)
                  .ifPresent(
                      f -> {
                        if (f.locked() && f.cureHours() > 0) {
                          waits.add(at(Kind.CURE, step, at, f.cureHours(), rebuild));
                        } else if (f.retorqueHours() > 0) {
                          waits.add(at(Kind.RETORQUE, step, at, f.retorqueHours(), rebuild));
                        }
                      });
            });
    for (Sheet.ProofTest t : sheet.proof()) {
      rebuild
          .clock(t.id())
          .ifPresent(
              since -> waits.add(at(Kind.TEST, t.id(), since, t.clockSeconds() / 3600.0, rebuild)));
      if (t.againHours() > 0) {
        rebuild
            .handedBack()
            .ifPresent(e -> waits.add(at(Kind.FOLLOW_UP, t.id(), e.at(), t.againHours(), rebuild)));
      }
    }
    waits.sort(Comparator.comparing(Wait::until));
    return List.copyOf(waits);
  }

  private static Wait at(Kind kind, String subject, Instant since, double hours, Rebuild rebuild) {
    return new Wait(
        kind,
        subject,
        since,
        Duration.ofSeconds(Math.round(hours * 3600)),
        kind.callsForWork() ? rebuild.settledAt(subject) : Optional.empty());
  }
}
