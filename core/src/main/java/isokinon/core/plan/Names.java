package isokinon.core.plan;

import java.util.HashMap;
import java.util.Map;

/** Numbers for names; the empty name is -1. */
final class Names {
  private final Map<String, Integer> numbers = new HashMap<>();

  int of(String name) {
    return name.isEmpty() ? -1 : numbers.computeIfAbsent(name, n -> numbers.size());
  }
}
