package isokinon.core.sheet;

import isokinon.core.sheet.Handling.About;
import isokinon.core.sheet.Handling.When;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
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

  private static final String LOCKED_AGAIN =
      "Drive isolated and locked again, tried dead, before hands go back in";

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
        f.wanted("startPose", ""),
        f.each("lines", this::line),
        f.each("parts", this::part),
        f.each("steps", this::step),
        f.each("buildOnly", this::buildOnly),
        f.each(
            "kits", k -> new Sheet.Kit(k.required("id"), k.wanted("title", ""), k.counts("parts"))),
        f.each("proof", this::proof),
        f.each("hazards", this::hazard),
        f.each("schools", this::school),
        f.each(
            "hardware",
            h -> new Sheet.Hardware(h.required("id"), h.wanted("title", ""), h.words("differs"))),
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

  private School school(Fields f) {
    return new School(
        f.required("id"),
        f.required("ask"),
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
        f.each(
            "limits",
            l ->
                new Part.Limit(
                    l.required("measure"),
                    l.required("unit"),
                    l.number("watch", 0, -1e6, 1e6),
                    l.number("renew", 0, -1e6, 1e6),
                    l.optionalNumber("new"))),
        f.words("look"),
        f.optionalNumber("mostHours", 1, 1e6),
        new TreeSet<>(f.words("onlyFor")),
        f.text("like"),
        f.text("same"),
        f.text("because"));
  }

  private Step step(Fields f) {
    String id = f.required("id");
    return new Step(
        id,
        f.wanted("strip", id),
        f.wanted("build", id),
        f.words("frees"),
        f.words("disturbs"),
        f.words("after"),
        f.wordLists("afterAny"),
        f.number("stripMinutes", 0, 0, 100_000),
        f.number("buildMinutes", 0, 0, 100_000),
        0,
        f.text("route"),
        handling(f, id));
  }

  private BuildOnlyStep buildOnly(Fields f) {
    String id = f.required("id");
    return new BuildOnlyStep(
        id,
        f.wanted("build", id),
        f.words("after"),
        f.words("before"),
        f.words("with"),
        f.words("beside"),
        f.number("buildMinutes", 0, 0, 100_000),
        f.number("waitMinutes", 0, 0, 1_000_000),
        handling(f, id));
  }

  private Handling handling(Fields f, String step) {
    List<Handling.Check> checks = new ArrayList<>();
    Optional<Power> power =
        f.inner("power", p -> new Power(p.required("why"), p.required("clear")));
    power.ifPresent(p -> checks.add(heldBack(step + "-clear", p.clear, When.BOTH, About.POWER)));
    List<Mark> marks =
        f.each("marks", m -> new Mark(m.required("id"), m.required("make"), m.required("meet")));
    marks.forEach(m -> checks.add(heldBack(m.id + "-made", m.make, When.STRIP, About.MARK)));
    checks.addAll(f.each("checks", this::check));
    marks.forEach(m -> checks.add(heldBack(m.id + "-met", m.meet, When.BUILD, About.MARK)));
    power.ifPresent(
        p -> checks.add(heldBack(step + "-isolated", LOCKED_AGAIN, When.BOTH, About.POWER)));
    return new Handling(
        f.text("pose"),
        f.words("tools"),
        f.words("hazards"),
        f.each(
            "cautions",
            c ->
                new Handling.Caution(
                    c.code("when", When.class, When.BOTH),
                    c.required("say"),
                    c.text("way"),
                    new TreeSet<>(c.words("onlyFor")))),
        f.inner("fastening", this::fastening),
        f.each(
            "apply", a -> new Handling.Apply(a.required("what"), a.required("to"), a.text("way"))),
        List.copyOf(checks),
        f.text("way"),
        power.map(Power::why).orElse(""));
  }

  /** A mark across a joint: made before it parts, met again when it closes. */
  private record Mark(String id, String make, String meet) {}

  /** The drive under power: why, and who stands clear. */
  private record Power(String why, String clear) {}

  private static Handling.Check heldBack(String id, String ask, When when, About about) {
    return new Handling.Check(
        id,
        ask,
        Handling.Answer.CONFIRM,
        when,
        true,
        "",
        Optional.empty(),
        Optional.empty(),
        about,
        "",
        false);
  }

  private Handling.Check check(Fields f) {
    return new Handling.Check(
        f.required("id"),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.code("when", When.class, When.BUILD),
        f.flag("hold"),
        f.text("unit"),
        f.optionalNumber("min"),
        f.optionalNumber("max"),
        About.STEP,
        f.text("way"),
        f.flag("pair"));
  }

  private Handling.Fastening fastening(Fields f) {
    double min = f.number("minNm", 0, 0, 10_000);
    double max = f.number("maxNm", min, 0, 10_000);
    if (max < min) {
      f.fault("maxNm", "torque max " + max + " N·m is under min " + min + " N·m");
    }
    return new Handling.Fastening(
        f.integer("count", 1, 1, 200),
        f.code("layout", Handling.Layout.class, Handling.Layout.CIRCLE),
        f.text("thread"),
        min,
        max,
        f.text("threads"),
        f.text("locker"),
        f.number("retorqueHours", 0, 0, 1000),
        f.number("cureHours", Handling.Fastening.USUAL_CURE_HOURS, 0, 1000),
        f.text("across"),
        f.flag("guidance"),
        f.text("way"));
  }

  private Sheet.ProofTest proof(Fields f) {
    return new Sheet.ProofTest(
        f.required("id"),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.text("unit"),
        f.optionalNumber("min"),
        f.optionalNumber("max"),
        f.integer("clockSeconds", 0, 0, 1_000_000),
        f.text("backTo"),
        f.inner(
            "runs",
            r ->
                new Sheet.Runs(
                    DriveReader.needed(r, "turns", 1e-3, 1e6),
                    DriveReader.needed(r, "setMl", 1e-6, 1e9),
                    r.number("withinPct", 1, 0.01, 100))),
        f.optionalNumber("rpm"),
        f.number("againHours", 0, 0, 10_000),
        f.flag("afterWaits"));
  }

  private Sheet.Hazard hazard(Fields f) {
    return new Sheet.Hazard(
        f.required("id"),
        f.code("energy", Sheet.Energy.class, Sheet.Energy.PRESSURE),
        f.wanted("title", ""),
        f.text("where"),
        f.wanted("act", ""),
        f.wanted("ask", ""),
        f.code("kind", Handling.Answer.class, Handling.Answer.CONFIRM),
        f.text("unit"),
        f.optionalNumber("max"),
        f.flag("licensed"));
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
