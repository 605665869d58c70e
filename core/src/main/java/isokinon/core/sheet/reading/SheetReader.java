package isokinon.core.sheet.reading;

import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.CalledFor;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.School;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Sides;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.StepOrder;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.core.value.Source;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.error.YAMLException;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.SequenceNode;

/**
 * Reads an assembly sheet from YAML, or from JSON, which YAML contains. All faults are told at
 * once, each with path and line; a sheet comes out only where there is none.
 *
 * <p>For a sheet that is to be kept, every name, sentence and drawing must be there and no unknown
 * field may stand in it. For a sheet that only comes to be computed with, ids and structure
 * suffice. Refuses more than a million characters, nesting deeper than 40 and shared nodes
 * (anchors), so that no input takes long.
 */
public final class SheetReader {

  /** Longest sheet that is read, characters. */
  public static final int MOST_CHARACTERS = 1_000_000;

  /** Most parts, steps or build-only steps of one sheet: planning stays within two seconds. */
  public static final int MOST_ROWS = 500;

  private final boolean strict;

  private SheetReader(boolean strict) {
    this.strict = strict;
  }

  /** A reader for sheets of the library: complete, and without unknown fields. */
  public static SheetReader forLibrary() {
    return new SheetReader(true);
  }

  /** A reader for sheets that come with a question and go with its answer. */
  public static SheetReader forComputing() {
    return new SheetReader(false);
  }

  /** Reads {@code text}; never throws for bad input. */
  public SheetReading read(String text) {
    List<Fault> faults = new ArrayList<>();
    if (text.length() > MOST_CHARACTERS) {
      return refused(Fault.at("", 1, "longer than " + MOST_CHARACTERS + " characters"));
    }
    Node root;
    try {
      root = new Yaml(limits()).compose(new StringReader(text));
    } catch (MarkedYAMLException e) {
      int line = e.getProblemMark() == null ? 1 : e.getProblemMark().getLine() + 1;
      return refused(Fault.at("", line, "not readable as YAML: " + e.getProblem()));
    } catch (YAMLException | StackOverflowError e) {
      return refused(Fault.at("", 1, "not readable as YAML: " + firstLine(e)));
    }
    if (root == null) {
      return refused(Fault.at("", 1, "the sheet is empty"));
    }
    refuseShared(root, new IdentityHashMap<>(), faults);
    if (!faults.isEmpty()) {
      return new SheetReading(Optional.empty(), List.copyOf(faults));
    }
    Fields fields = new Fields("", root, strict, faults);
    for (String rows : List.of("parts", "steps", "buildOnly")) {
      int count = fields.linesOf(rows).size();
      if (count > MOST_ROWS) {
        return refused(
            Fault.at(
                rows, fields.line(), count + " " + rows + "; at most " + MOST_ROWS + " are read"));
      }
    }
    Sheet sheet = sheet(fields);
    fields.refuseUnknown();
    if (sheet.manual().isEmpty() && sheet.says(Source.Kind.MANUAL) > 0) {
      fields.fault("manual", "pages are given: say of which manual, and of which issue");
    }
    if (fields.has("parts") && fields.has("steps")) {
      new SheetRules(sheet, fields, faults, strict).check();
    }
    faults.sort(Comparator.comparingInt(Fault::line));
    return faults.isEmpty()
        ? new SheetReading(Optional.of(sheet), List.of())
        : new SheetReading(Optional.empty(), List.copyOf(faults));
  }

  private Sheet sheet(Fields f) {
    String id = f.required("id");
    if (!id.isEmpty() && !id.matches("[a-z0-9]+(-[a-z0-9]+)*")) {
      f.fault("id", "\"" + id + "\" is not kebab-case: small letters, digits and single hyphens");
    }
    for (String key : List.of("parts", "steps")) {
      if (!f.has(key)) {
        f.fault(key, "missing: a sheet needs " + key);
      }
    }
    return new Sheet(
        id,
        f.wanted("title", id),
        f.code("family", Family.class, Family.AIR_DIAPHRAGM),
        f.integer("revision", 1, 1, 1_000_000),
        f.text("note"),
        f.words("manual", 120),
        f.wanted("startPose", ""),
        f.each("lines", this::line),
        f.each("parts", this::part),
        f.each("steps", this::step),
        f.each("buildOnly", this::buildOnly),
        f.each(
            "kits",
            k ->
                new Sheet.Kit(
                    k.required("id"),
                    k.wanted("title", ""),
                    k.counts("parts"),
                    k.each("supplies", HandlingReader::supply),
                    HandlingReader.onlyFor(k))),
        f.each("proof", ProofReader::proof),
        f.each("hazards", this::hazard),
        Stream.concat(
                f.each("schools", s -> school(s, false)).stream(),
                f.each("variants", s -> school(s, true)).stream())
            .toList(),
        f.each("order", this::order),
        f.each("sides", s -> new Sides(s.required("id"), s.words("a"), s.words("b"))),
        f.each(
            "hardware",
            h -> new Sheet.Hardware(h.required("id"), h.wanted("title", ""), h.words("differs"))),
        f.each("rounds", RoundReader::round),
        f.each("compared", ComparedReader::compared),
        f.inner("stator", DriveReader::stator),
        f.inner("coupling", DriveReader::coupling));
  }

  private Sheet.Line line(Fields f) {
    return new Sheet.Line(
        f.required("id"),
        f.wanted("rail", ""),
        f.integer("axes", 1, 1, 2),
        f.text("title"),
        f.text("note"),
        f.flag("mirrored"),
        f.code("view", Sheet.View.class, Sheet.View.AXIS));
  }

  private StepOrder order(Fields f) {
    boolean strip = f.has("strip");
    if (strip == f.has("build")) {
      f.fault("", "an order says \"strip\" or \"build\", and one of them only");
    }
    List<String> steps = f.words(strip ? "strip" : "build");
    if (steps.size() < 2) {
      f.fault(strip ? "strip" : "build", "an order has two steps or more");
    }
    return new StepOrder(steps, strip, f.text("because"), HandlingReader.onlyFor(f));
  }

  private School school(Fields f, boolean variant) {
    return new School(
        f.required("id"),
        f.required("ask"),
        variant,
        f.each(
            "ways",
            w ->
                new School.Way(
                    w.required("id"),
                    w.required("title"),
                    w.required("say"),
                    w.flag("default"),
                    w.code("effect", School.Effect.class, School.Effect.NONE))));
  }

  private Part part(Fields f) {
    String id = f.required("id");
    EnumSet<Part.Care> care = EnumSet.noneOf(Part.Care.class);
    for (String word : f.words("care")) {
      Code.parse(Part.Care.class, word)
          .ifPresentOrElse(
              care::add,
              () -> f.fault("care", "\"" + word + "\" is not one of " + Code.all(Part.Care.class)));
    }
    return new Part(
        id,
        f.wanted("name", id),
        f.integer("count", 1, 1, 1000),
        f.optional("role"),
        f.optional("material"),
        f.code("section", Part.Section.class, Part.Section.WET),
        f.code("renew", Part.Renew.class, Part.Renew.INSPECT),
        f.wanted("glyph", ""),
        f.inner(
            "place",
            p ->
                new Part.Place(
                    p.required("line"),
                    p.number("at", 0, -1000, 1000),
                    p.text("side"),
                    p.text("faces"),
                    p.code("toward", Part.Toward.class, Part.Toward.IN),
                    p.number("angle", 0, -360, 360))),
        f.text("facing"),
        Set.copyOf(care),
        f.each("limits", LimitReader::limit),
        f.words("look"),
        f.optionalNumber("mostHours", 1, 1e6),
        f.optionalNumber("mostDays", 1, 1e5),
        new TreeSet<>(f.wordOrWords("way")),
        new TreeSet<>(f.words("onlyFor")),
        f.text("like"),
        f.text("same"),
        new TreeSet<>(f.words("condemns")),
        f.text("because"));
  }

  private Step.OwnWay ownWay(Fields f) {
    return new Step.OwnWay(
        HandlingReader.onlyFor(f),
        f.optional("strip"),
        f.optional("build"),
        f.optionalNumber("stripMinutes", 0, 100_000),
        f.optionalNumber("buildMinutes", 0, 100_000),
        HandlingReader.apart(f, "stripping"),
        HandlingReader.apart(f, "building"));
  }

  private Step step(Fields f) {
    String id = f.required("id");
    boolean stripOnly = f.flag("stripOnly");
    if (stripOnly && f.number("buildMinutes", 0, 0, 100_000) > 0) {
      f.fault("buildMinutes", "a step that is only stripped takes no time to build");
    }
    return new Step(
        id,
        f.wanted("strip", id),
        stripOnly ? f.text("build") : f.wanted("build", id),
        f.words("frees"),
        f.words("aside"),
        f.words("disturbs"),
        f.words("after"),
        f.wordLists("afterAny"),
        f.words("needs"),
        f.words("excludes"),
        stripOnly,
        f.number("stripMinutes", 0, 0, 100_000),
        f.number("buildMinutes", 0, 0, 100_000),
        0,
        f.text("route"),
        f.each("byWay", this::ownWay),
        HandlingReader.handling(f, id));
  }

  private BuildOnlyStep buildOnly(Fields f) {
    String id = f.required("id");
    return new BuildOnlyStep(
        id,
        f.wanted("build", id),
        f.words("after"),
        f.words("before"),
        calledFor(f),
        f.words("beside"),
        f.number("buildMinutes", 0, 0, 100_000),
        f.number("waitMinutes", 0, 0, 1_000_000),
        HandlingReader.handling(f, id));
  }

  /** {@code with} is the short form of {@code when: {renewed: ...}}. */
  private static CalledFor calledFor(Fields f) {
    if (f.has("with") && f.has("when")) {
      f.fault("with", "\"with\" stands alone; beside \"when\" it is when: {renewed: ...}");
    }
    return f.inner(
            "when",
            w ->
                new CalledFor(
                    w.words("renewed"),
                    w.words("off"),
                    w.words("back"),
                    w.words("steps"),
                    w.words("without")))
        .orElseGet(() -> CalledFor.renewing(f.words("with")));
  }

  private Sheet.Hazard hazard(Fields f) {
    Fields.Limits limits = f.limits();
    return new Sheet.Hazard(
        f.required("id"),
        f.code("energy", Sheet.Energy.class, Sheet.Energy.PRESSURE),
        f.wanted("title", ""),
        f.text("where"),
        f.wanted("act", ""),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.text("unit"),
        limits.min(),
        limits.max(),
        f.text("orConfirm"),
        f.flag("licensed"),
        f.flag("whereMet"),
        HandlingReader.onlyFor(f));
  }

  private static void refuseShared(
      Node node, IdentityHashMap<Node, Boolean> seen, List<Fault> faults) {
    if (seen.put(node, true) != null) {
      faults.add(Fault.at("", Fields.lineOf(node), "anchors and aliases have no place in a sheet"));
      return;
    }
    if (node instanceof SequenceNode sequence) {
      sequence.getValue().forEach(n -> refuseShared(n, seen, faults));
    } else if (node instanceof MappingNode mapping) {
      mapping
          .getValue()
          .forEach(
              t -> {
                refuseShared(t.getKeyNode(), seen, faults);
                refuseShared(t.getValueNode(), seen, faults);
              });
    }
  }

  private static LoaderOptions limits() {
    LoaderOptions options = new LoaderOptions();
    options.setCodePointLimit(MOST_CHARACTERS);
    options.setNestingDepthLimit(40);
    options.setMaxAliasesForCollections(1);
    options.setAllowDuplicateKeys(true); // told by Fields, with path and line, like every fault
    return options;
  }

  private static SheetReading refused(Fault fault) {
    return new SheetReading(Optional.empty(), List.of(fault));
  }

  private static String firstLine(Throwable e) {
    return String.valueOf(e.getMessage()).lines().findFirst().orElse("unknown fault");
  }
}
