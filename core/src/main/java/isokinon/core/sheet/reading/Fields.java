package isokinon.core.sheet.reading;

import static isokinon.core.value.Numbers.plain;

import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.core.value.Source;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.NodeTuple;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;

/**
 * The fields of one mapping of a sheet file. Every wrong value is told to the shared list of faults
 * with its path and line, and reading goes on with a stand-in, so that all faults come out at once.
 */
final class Fields {

  private static final int MOST_TEXT = 2_000;

  private final String path;
  private final int line;
  private final boolean strict;
  private final List<Fault> faults;
  private final Map<String, Node> values = new LinkedHashMap<>();
  private final Map<String, Integer> keyLines = new LinkedHashMap<>();
  private final Set<String> asked = new HashSet<>();

  Fields(String path, Node node, boolean strict, List<Fault> faults) {
    this.path = path;
    this.line = lineOf(node);
    this.strict = strict;
    this.faults = faults;
    if (!(node instanceof MappingNode mapping)) {
      fault("", "expected fields with names, found " + kind(node));
      return;
    }
    for (NodeTuple tuple : mapping.getValue()) {
      String key =
          tuple.getKeyNode() instanceof ScalarNode scalar ? scalar.getValue() : "(not a word)";
      if (values.put(key, tuple.getValueNode()) != null) {
        faults.add(Fault.at(at(key), lineOf(tuple.getKeyNode()), "\"" + key + "\" is given twice"));
      }
      keyLines.put(key, lineOf(tuple.getKeyNode()));
    }
  }

  int line() {
    return line;
  }

  int line(String key) {
    return keyLines.getOrDefault(key, line);
  }

  String at(String key) {
    return key.isEmpty() ? path : path.isEmpty() ? key : path + "." + key;
  }

  void fault(String key, String message) {
    faults.add(Fault.at(at(key), line(key), message));
  }

  boolean has(String key) {
    asked.add(key);
    Node node = values.get(key);
    return node != null && !isNull(node);
  }

  String required(String key) {
    if (!has(key)) {
      fault(key, "missing: \"" + key + "\" must be given");
      return "";
    }
    Optional<String> word = scalar(at(key), values.get(key));
    if (word.filter(String::isBlank).isPresent()) {
      fault(key, "empty: \"" + key + "\" must say something");
    }
    return word.orElse("");
  }

  /** Required where a sheet is to be kept, optional where it is only computed with. */
  String wanted(String key, String otherwise) {
    return strict ? required(key) : has(key) ? text(key) : otherwise;
  }

  String text(String key) {
    return has(key) ? scalar(at(key), values.get(key)).orElse("") : "";
  }

  Optional<String> optional(String key) {
    return Optional.of(text(key)).filter(t -> !t.isEmpty());
  }

  double number(String key, double otherwise, double least, double most) {
    if (!has(key)) {
      return otherwise;
    }
    Optional<String> word = scalar(at(key), values.get(key));
    if (word.isEmpty()) {
      return otherwise;
    }
    try {
      double value = Double.parseDouble(word.get());
      if (value >= least && value <= most) {
        return value;
      }
      fault(key, word.get() + " is outside " + plain(least) + " to " + plain(most));
    } catch (NumberFormatException e) {
      fault(key, "\"" + word.get() + "\" is not a number");
    }
    return otherwise;
  }

  int integer(String key, int otherwise, int least, int most) {
    double value = number(key, otherwise, least, most);
    if (value != Math.rint(value)) {
      fault(key, value + " is not a whole number");
      return otherwise;
    }
    return (int) value;
  }

  Optional<Double> optionalNumber(String key) {
    return optionalNumber(key, -1e9, 1e9);
  }

  Optional<Double> optionalNumber(String key, double low, double high) {
    return has(key) ? Optional.of(number(key, 0, low, high)) : Optional.empty();
  }

  boolean flag(String key) {
    if (!has(key)) {
      return false;
    }
    String word = text(key);
    if (!word.equals("true") && !word.equals("false")) {
      fault(key, "\"" + word + "\" is neither true nor false");
    }
    return word.equals("true");
  }

  <E extends Enum<E> & Code> E code(String key, Class<E> type, E otherwise) {
    if (!has(key)) {
      return otherwise;
    }
    String word = text(key);
    Optional<E> found = Code.parse(type, word);
    if (found.isEmpty()) {
      fault(key, "\"" + word + "\" is not one of " + Code.all(type));
    }
    return found.orElse(otherwise);
  }

  List<String> words(String key) {
    return list(key, (p, node) -> scalar(p, node).orElse(""));
  }

  /** One word, or a list of them. */
  List<String> wordOrWords(String key) {
    return has(key) && values.get(key) instanceof ScalarNode ? List.of(text(key)) : words(key);
  }

  List<List<String>> wordLists(String key) {
    return list(
        key,
        (p, node) -> {
          if (!(node instanceof SequenceNode sequence)) {
            faults.add(Fault.at(p, lineOf(node), "expected a list of step ids"));
            return List.<String>of();
          }
          List<String> words = new ArrayList<>();
          for (int i = 0; i < sequence.getValue().size(); i++) {
            scalar(p + "[" + i + "]", sequence.getValue().get(i)).ifPresent(words::add);
          }
          return List.copyOf(words);
        });
  }

  <T> List<T> each(String key, Function<Fields, T> read) {
    return list(
        key,
        (p, node) -> {
          Fields fields = new Fields(p, node, strict, faults);
          T value = read.apply(fields);
          fields.refuseUnknown();
          return value;
        });
  }

  /** Whether fields of its own stand under {@code key}. */
  boolean isObject(String key) {
    return has(key) && values.get(key) instanceof MappingNode;
  }

  /** Like {@link #each}; a single one need not stand in a list. */
  <T> List<T> oneOrEach(String key, Function<Fields, T> read) {
    return isObject(key) ? inner(key, read).stream().toList() : each(key, read);
  }

  /** The least and the greatest value that pass; empty where there is none. */
  record Limits(Optional<Double> min, Optional<Double> max) {}

  /** {@code min} and {@code max}; tells where the least value is over the greatest. */
  Limits limits() {
    Optional<Double> min = optionalNumber("min");
    Optional<Double> max = optionalNumber("max");
    if (min.isPresent() && max.isPresent() && min.get() > max.get()) {
      fault("min", "min " + plain(min.get()) + " is over max " + plain(max.get()));
    }
    return new Limits(min, max);
  }

  /** From the page of the manual that is named; else a starting value. */
  Source source() {
    return Optional.of(words("page", 20))
        .filter(p -> !p.isEmpty())
        .map(Source::manual)
        .orElse(Source.STARTING);
  }

  /** A text of so many characters at most; empty where there is none. */
  String words(String key, int most) {
    String text = text(key);
    if (text.length() > most) {
      fault(key, "longer than " + most + " characters");
    }
    return text;
  }

  /** The line each item of a list begins on. */
  List<Integer> linesOf(String key) {
    return values.get(key) instanceof SequenceNode sequence
        ? sequence.getValue().stream().map(Fields::lineOf).toList()
        : List.of();
  }

  /** What {@code read} makes of the fields under {@code key}; empty where there are none. */
  <T> Optional<T> inner(String key, Function<Fields, T> read) {
    if (!has(key)) {
      return Optional.empty();
    }
    Fields fields = new Fields(at(key), values.get(key), strict, faults);
    T value = read.apply(fields);
    fields.refuseUnknown();
    return Optional.of(value);
  }

  Map<String, Integer> counts(String key) {
    Map<String, Integer> counts = new LinkedHashMap<>();
    inner(
        key,
        f -> {
          f.values.keySet().forEach(p -> counts.put(p, f.integer(p, 1, 1, 1000)));
          return counts;
        });
    return counts;
  }

  void refuseUnknown() {
    if (strict) {
      for (String key : values.keySet()) {
        if (!asked.contains(key)) {
          fault(key, "no field \"" + key + "\" belongs here");
        }
      }
    }
  }

  private interface ReadItem<T> {
    T read(String path, Node node);
  }

  private <T> List<T> list(String key, ReadItem<T> read) {
    if (!has(key)) {
      return List.of();
    }
    if (!(values.get(key) instanceof SequenceNode sequence)) {
      fault(key, "expected a list, found " + kind(values.get(key)));
      return List.of();
    }
    List<T> items = new ArrayList<>();
    for (int i = 0; i < sequence.getValue().size(); i++) {
      items.add(read.read(at(key) + "[" + i + "]", sequence.getValue().get(i)));
    }
    return List.copyOf(items);
  }

  private Optional<String> scalar(String where, Node node) {
    if (!(node instanceof ScalarNode scalar)) {
      faults.add(Fault.at(where, lineOf(node), "expected one value, found " + kind(node)));
      return Optional.empty();
    }
    if (scalar.getValue().length() > MOST_TEXT) {
      faults.add(Fault.at(where, lineOf(node), "longer than " + MOST_TEXT + " characters"));
      return Optional.empty();
    }
    return Optional.of(scalar.getValue().strip());
  }

  private static boolean isNull(Node node) {
    return node instanceof ScalarNode scalar
        && scalar.getScalarStyle() == org.yaml.snakeyaml.DumperOptions.ScalarStyle.PLAIN
        && Set.of("null", "~", "").contains(scalar.getValue());
  }

  private static String kind(Node node) {
    return node instanceof SequenceNode
        ? "a list"
        : node instanceof MappingNode ? "fields with names" : "a single value";
  }

  static int lineOf(Node node) {
    return node.getStartMark() == null ? 1 : node.getStartMark().getLine() + 1;
  }
}
