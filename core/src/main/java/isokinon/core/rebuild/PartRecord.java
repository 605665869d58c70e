package isokinon.core.rebuild;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.PartReading;
import isokinon.core.sheet.Part;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What was found of each part: its readings, how it was judged, why it wore. */
final class PartRecord {

  private final Map<String, BenchEvent<PartAct.Judged>> judged = new LinkedHashMap<>();
  private final Map<String, Map<String, PartReading>> readings = new HashMap<>();
  private final Map<String, BenchEvent<PartAct.CauseFound>> causes = new LinkedHashMap<>();
  private final Map<String, BenchEvent<PartAct.Judged>> condemned = new LinkedHashMap<>();

  void read(String part, String who, Measurement measurement) {
    readings
        .computeIfAbsent(part, p -> new LinkedHashMap<>())
        .put(measurement.measure(), new PartReading(who, measurement));
  }

  void judge(BenchEvent<PartAct.Judged> event) {
    PartAct.Judged act = event.act();
    judged.put(act.part(), event);
    act.measurements().forEach(m -> read(act.part(), event.who(), m));
  }

  void condemn(String part, BenchEvent<PartAct.Judged> event) {
    condemned.putIfAbsent(part, event);
  }

  void acquit(String part) {
    condemned.remove(part);
  }

  void cause(BenchEvent<PartAct.CauseFound> event) {
    causes.put(event.act().part(), event);
  }

  /** These parts are looked at anew. */
  void again(Collection<String> parts) {
    judged.keySet().removeAll(parts);
    readings.keySet().removeAll(parts);
  }

  boolean judged(String part) {
    return judged.containsKey(part);
  }

  Optional<BenchEvent<PartAct.Judged>> judgement(String part) {
    return Optional.ofNullable(judged.get(part));
  }

  Optional<Part.Verdict> verdict(String part) {
    return judgement(part).map(e -> e.act().verdict());
  }

  Map<String, PartReading> readings(String part) {
    return readings.getOrDefault(part, Map.of());
  }

  Map<String, BenchEvent<PartAct.CauseFound>> causes() {
    return Collections.unmodifiableMap(causes);
  }

  Optional<BenchEvent<PartAct.Judged>> condemned(String part) {
    return Optional.ofNullable(condemned.get(part));
  }
}
