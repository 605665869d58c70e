package isokinon.core.rebuild;

import isokinon.core.sheet.Handling.Fastening;
import isokinon.core.torque.TighteningOrder;
import isokinon.core.torque.TorqueReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The tightening of one joint as recorded so far: which passes are done, what each fastener last
 * read, what is still to be answered. One or two fasteners need no early passes and no last round.
 */
public final class TorqueRound {

  /** Fewer fasteners than this are tightened in one go. */
  private static final int CROSSING_FROM = 3;

  /**
   * A fastener's standing in the pass at 100 %.
   *
   * @param readings every reading in order, none lost, N·m
   * @param clicked whether the last one is a click at a setting, not a measured value
   * @param judgement of the last reading
   * @param acceptedBecause the lead's reason where an out-of-range reading was accepted
   */
  public record Fastener(
      List<Double> readings,
      boolean clicked,
      TorqueReading.Judgement judgement,
      Optional<String> acceptedBecause) {

    /** Whether nothing is left to answer. */
    public boolean settled() {
      return judgement.lie() == TorqueReading.Lie.IN_RANGE || acceptedBecause.isPresent();
    }

    /** The last reading, N·m. */
    public double last() {
      return readings.get(readings.size() - 1);
    }
  }

  private final Fastening joint;
  private final TighteningOrder order;
  private final Map<Integer, Fastener> fasteners = new HashMap<>();
  private final Map<Integer, Map<Integer, Double>> early = new HashMap<>();
  private final Set<Integer> passesDone = new HashSet<>();

  TorqueRound(Fastening joint) {
    this.joint = joint;
    this.order = TighteningOrder.of(joint.count(), joint.layout());
  }

  /** The tightening order and its passes. */
  public TighteningOrder order() {
    return order;
  }

  /** Number of the pass at full torque: 3, or 1 for a joint that needs no early passes. */
  public int fullPass() {
    return joint.count() < CROSSING_FROM ? 1 : 3;
  }

  /** Number of the last circular round: 4, or 0 where there is none. */
  public int lastRound() {
    return joint.count() < CROSSING_FROM ? 0 : 4;
  }

  /** Percent of full torque in a pass. */
  public int percent(int pass) {
    return fullPass() == 1 ? 100 : order.passes().get(pass - 1).percent();
  }

  /** Standing of each fastener that has been read at full torque, by number. */
  public Map<Integer, Fastener> fasteners() {
    return Map.copyOf(fasteners);
  }

  /** Readings of an early pass by fastener number, N·m. */
  public Map<Integer, Double> early(int pass) {
    return Map.copyOf(early.getOrDefault(pass, Map.of()));
  }

  /** Passes done as a whole. */
  public Set<Integer> passesDone() {
    return Set.copyOf(passesDone);
  }

  /** The pass in hand, from 1; one past the last where the joint is finished. */
  public int pass() {
    int pass = 1;
    while (pass < fullPass() && passesDone.contains(pass)) {
      pass++;
    }
    if (pass == fullPass() && allSettled()) {
      pass = lastRound() == 0 || passesDone.contains(lastRound()) ? pass + 2 : lastRound();
    }
    return pass;
  }

  /** Next fastener to read, the unread ones first, then those to take again; empty when none is. */
  public Optional<Integer> nextFastener() {
    if (pass() < fullPass()) {
      Map<Integer, Double> read = early(pass());
      return order.order().stream().filter(f -> !read.containsKey(f)).findFirst();
    }
    Optional<Integer> unread =
        order.order().stream().filter(f -> !fasteners.containsKey(f)).findFirst();
    return unread.or(
        () -> order.order().stream().filter(f -> !fasteners.get(f).settled()).findFirst());
  }

  /** Whether every fastener is read and answered, and the last round done. */
  public boolean finished() {
    return pass() > Math.max(fullPass(), lastRound());
  }

  /** What is still missing, as a phrase; empty when finished. */
  public String missing() {
    if (finished()) {
      return "";
    }
    if (pass() < fullPass()) {
      return "pass %d of 3 at %d %%".formatted(pass(), percent(pass()));
    }
    if (pass() == lastRound()) {
      return "the last round";
    }
    long unread = order.order().stream().filter(f -> !fasteners.containsKey(f)).count();
    long open = fasteners.values().stream().filter(f -> !f.settled()).count();
    List<String> parts = new ArrayList<>();
    if (unread > 0) {
      parts.add(unread + " to read");
    }
    if (open > 0) {
      parts.add(open + " to answer");
    }
    return String.join(", ", parts);
  }

  private boolean allSettled() {
    return fasteners.size() == joint.count()
        && fasteners.values().stream().allMatch(Fastener::settled);
  }

  void read(int pass, int fastener, double nm, boolean clicked) {
    if (pass < fullPass()) {
      early.computeIfAbsent(pass, p -> new HashMap<>()).put(fastener, nm);
      if (early.get(pass).size() == joint.count()) {
        passesDone.add(pass);
      }
      return;
    }
    List<Double> readings = new ArrayList<>();
    Optional.ofNullable(fasteners.get(fastener)).ifPresent(f -> readings.addAll(f.readings()));
    readings.add(nm);
    fasteners.put(
        fastener,
        new Fastener(
            List.copyOf(readings),
            clicked,
            TorqueReading.judge(joint, 100, fastener, nm),
            Optional.empty()));
  }

  void passDone(int pass) {
    passesDone.add(pass);
  }

  void accept(int fastener, String because) {
    Fastener f = fasteners.get(fastener);
    fasteners.put(
        fastener, new Fastener(f.readings(), f.clicked(), f.judgement(), Optional.of(because)));
  }
}
