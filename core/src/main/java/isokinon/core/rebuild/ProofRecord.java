package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.peristaltic.Calibration;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the tests of the proof read, and the clocks that run for them. */
final class ProofRecord {

  private final Map<String, BenchEvent<ProofAct.Proved>> last = new LinkedHashMap<>();
  private final Map<String, List<BenchEvent<ProofAct.Proved>>> runs = new HashMap<>();
  private final Map<String, BenchEvent<ProofAct.NotMet>> notMet = new HashMap<>();
  private final Map<String, Instant> clocks = new HashMap<>();
  private final Map<String, Instant> settled = new HashMap<>();

  void read(BenchEvent<ProofAct.Proved> event) {
    String test = event.act().test();
    last.put(test, event);
    notMet.remove(test);
    runs.computeIfAbsent(test, t -> new ArrayList<>()).add(event);
  }

  /** It did not hold: what was confirmed before holds no more. */
  void miss(BenchEvent<ProofAct.NotMet> event) {
    last.remove(event.act().test());
    notMet.put(event.act().test(), event);
  }

  void startClock(String test, Instant at) {
    clocks.put(test, at);
  }

  void settle(String subject, Instant at) {
    settled.put(subject, at);
  }

  /** The pump is opened again: every test is done anew. */
  void clear() {
    last.clear();
    runs.clear();
    notMet.clear();
    clocks.clear();
  }

  Optional<BenchEvent<ProofAct.Proved>> last(String test) {
    return Optional.ofNullable(last.get(test));
  }

  List<BenchEvent<ProofAct.Proved>> runs(String test) {
    return runs.getOrDefault(test, List.of());
  }

  Optional<BenchEvent<ProofAct.NotMet>> notMet(String test) {
    return Optional.ofNullable(notMet.get(test));
  }

  /** Whether it was tried and did not hold. */
  boolean missed(Sheet.ProofTest test) {
    boolean judged =
        test.runs().isEmpty() ? last.containsKey(test.id()) : calibration(test).isPresent();
    return notMet.containsKey(test.id()) || (judged && !passed(test));
  }

  Optional<Instant> clock(String test) {
    return Optional.ofNullable(clocks.get(test));
  }

  Optional<Instant> settledAt(String subject) {
    return Optional.ofNullable(settled.get(subject));
  }

  boolean passed(Sheet.ProofTest test) {
    return last(test.id())
        .map(
            e ->
                test.kind() == Handling.Answer.CONFIRM
                    || (test.runs().isPresent()
                        ? calibration(test).map(c -> accepted(test, c)).orElse(false)
                        : test.passes(number(e))))
        .orElse(false);
  }

  Optional<Calibration> calibration(Sheet.ProofTest test) {
    List<BenchEvent<ProofAct.Proved>> all = runs(test.id());
    return test.runs()
        .filter(r -> all.size() >= Calibration.FEWEST)
        .map(
            r ->
                Calibration.of(
                    all.stream().map(e -> new Calibration.Run(r.turns(), number(e))).toList(),
                    r.setMl() / r.turns(),
                    r.withinPct()));
  }

  private static double number(BenchEvent<ProofAct.Proved> event) {
    return event.act().reading().map(Reading::value).orElse(Double.NaN);
  }

  private static boolean accepted(Sheet.ProofTest test, Calibration c) {
    return c.moreRuns() == 0 && test.passes(c.mlPerTurn() * test.runs().orElseThrow().turns());
  }
}
