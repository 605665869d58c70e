package isokinon.core.rebuild;

import isokinon.core.sheet.Part;
import isokinon.core.value.Code;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** What was found of each part: its readings, how it was judged, why it wore. */
final class PartRecord {

  private final Map<String, BenchEvent> judged = new LinkedHashMap<>();
  private final Map<String, Map<String, BenchEvent>> readings = new HashMap<>();
  private final Map<String, BenchEvent> causes = new LinkedHashMap<>();
  private final Map<String, BenchEvent> condemned = new LinkedHashMap<>();

  void read(BenchEvent event) {
    if (event.act().value().isPresent() && !event.act().step().isEmpty()) {
      readings
          .computeIfAbsent(event.act().subject(), p -> new LinkedHashMap<>())
          .put(event.act().step(), event);
    }
  }

  /** A part is judged; whether it is bad. */
  boolean judge(BenchEvent event) {
    String part = event.act().subject();
    judged.put(part, event);
    read(event);
    return verdict(part).equals(Optional.of(Part.Verdict.RENEW));
  }

  void condemn(String part, BenchEvent event) {
    condemned.putIfAbsent(part, event);
  }

  void acquit(String part) {
    condemned.remove(part);
  }

  void cause(BenchEvent event) {
    causes.put(event.act().subject(), event);
  }

  /** These parts are looked at anew. */
  void again(Collection<String> parts) {
    judged.keySet().removeAll(parts);
    readings.keySet().removeAll(parts);
  }

  boolean judged(String part) {
    return judged.containsKey(part);
  }

  Optional<BenchEvent> judgement(String part) {
    return Optional.ofNullable(judged.get(part));
  }

  Optional<Part.Verdict> verdict(String part) {
    return judgement(part)
        .flatMap(e -> e.act().items().stream().findFirst())
        .flatMap(v -> Code.parse(Part.Verdict.class, v));
  }

  Map<String, BenchEvent> readings(String part) {
    return readings.getOrDefault(part, Map.of());
  }

  Map<String, BenchEvent> causes() {
    return Collections.unmodifiableMap(causes);
  }

  Optional<BenchEvent> condemned(String part) {
    return Optional.ofNullable(condemned.get(part));
  }
}
