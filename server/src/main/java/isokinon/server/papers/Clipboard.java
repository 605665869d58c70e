package isokinon.server.papers;

import isokinon.core.plan.Plan;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.torque.TighteningOrder;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.BenchView;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Strip list, tray card, build list and torque sheet of a job on paper, for where no screen goes:
 * large type, boxes to tick, blanks to write readings in.
 */
@Component
public class Clipboard {

  private static final int SLOTS_A_ROW = 4;
  private static final int BLANKS_A_ROW = 10;

  private final Paper paper;

  Clipboard(Paper paper) {
    this.paper = paper;
  }

  /** The papers of {@code rebuild} as one PDF; before the take-in there is only its head. */
  public byte[] pdf(BenchView.PumpHead pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    Plan plan = rebuild.plan().orElse(Plan.NOTHING);
    List<String> strip = rebuild.route();
    Map<String, Object> values = new HashMap<>();
    values.put("tag", pump.tag());
    values.put("duty", pump.duty() + ". " + sheet.title());
    values.put(
        "sheet", "Sheet " + sheet.id() + " revision " + sheet.revision() + ". " + sheet.note());
    values.put(
        "hazards",
        rebuild.hazards().stream()
            .map(h -> new HazardLine(h.title(), h.act() + ". " + h.ask()))
            .toList());
    values.put("strip", strip.stream().map(id -> strip(sheet, id)).toList());
    values.put("build", rebuild.buildLeft().stream().map(id -> build(sheet, id)).toList());
    values.put("tray", tray(sheet, plan));
    values.put(
        "joints",
        plan.build().stream()
            .flatMap(id -> sheet.fastening(id).map(f -> joint(sheet.stepSentence(id), f)).stream())
            .toList());
    return paper.pdf("clipboard", pump.tag() + " clipboard", values);
  }

  /** An energy to prove gone, with what to do and what is asked. */
  public record HazardLine(String title, String ask) {}

  /**
   * A step of a list.
   *
   * @param stand how the pump stands, and which tools
   * @param goesOn which way parts look, and what goes on them; empty while stripping
   */
  public record StepLine(
      String sentence,
      String stand,
      List<String> goesOn,
      List<String> cautions,
      List<String> checks) {}

  /** Slots of one side of the tray, four in a row. */
  public record TraySide(String title, List<List<Slot>> rows) {}

  /** A slot of the tray; an empty name fills a row up. */
  public record Slot(String name, List<String> lines) {}

  /** A joint, with a blank for each fastener in the order of tightening. */
  public record JointBlanks(String title, String asked, List<List<Integer>> rows) {}

  private static StepLine strip(Sheet sheet, String id) {
    return step(sheet, id, true, sheet.step(id).map(s -> s.strip()).orElse(id), List.of());
  }

  private static StepLine build(Sheet sheet, String id) {
    Stream<String> ways =
        sheet.step(id).stream()
            .flatMap(s -> s.frees().stream())
            .flatMap(p -> sheet.part(p).stream())
            .filter(p -> !p.facing().isEmpty())
            .map(p -> p.name() + ": " + Text.inSentence(p.facing()))
            .distinct();
    Stream<String> applied =
        sheet.handling(id).stream()
            .flatMap(how -> how.apply().stream())
            .map(
                a -> Text.applied(a, a.to().stream().map(p -> Text.inSentence(sheet.partName(p)))));
    return step(sheet, id, false, sheet.stepSentence(id), Stream.concat(ways, applied).toList());
  }

  private static StepLine step(
      Sheet sheet, String id, boolean stripping, String sentence, List<String> goesOn) {
    Handling how = sheet.handling(id).orElse(Handling.PLAIN).during(stripping);
    return new StepLine(
        sentence,
        stand(how),
        goesOn,
        how.cautions().stream().filter(c -> c.when().shown(stripping)).map(c -> c.say()).toList(),
        how.checks().stream()
            .filter(c -> c.when().shown(stripping))
            .map(c -> c.ask() + (c.unit().isEmpty() ? "" : " ____ " + c.unit()))
            .toList());
  }

  /** A side of the pump keeps its letter. */
  private static String sided(String pose) {
    return pose.replaceAll("\\b([Ss]ide) a\\b", "$1 A").replaceAll("\\b([Ss]ide) b\\b", "$1 B");
  }

  private static String stand(Handling how) {
    List<String> words = new ArrayList<>();
    if (!how.pose().isEmpty()) {
      words.add(sided(Text.sentence(Text.words(how.pose()))));
    }
    how.tools().forEach(t -> words.add(Text.tool(t)));
    return String.join(", ", words);
  }

  /** Slots by side, in the order of the sheet; a matched part has a slot for every piece. */
  private static List<TraySide> tray(Sheet sheet, Plan plan) {
    List<TraySide> tray = new ArrayList<>();
    for (String side : List.of("A", "", "B")) {
      List<Slot> slots = new ArrayList<>();
      for (Part part : sheet.parts()) {
        String at = part.place().map(Part.Place::side).orElse("");
        if (at.equals(side) && plan.freed().contains(part.id())) {
          int pieces = part.matched() ? part.count() : 1;
          for (int i = 1; i <= pieces; i++) {
            slots.add(slot(part, pieces > 1 ? part.id() + "#" + i : part.id(), sheet));
          }
        }
      }
      if (!slots.isEmpty()) {
        while (slots.size() % SLOTS_A_ROW != 0) {
          slots.add(new Slot("", List.of()));
        }
        tray.add(
            new TraySide(
                side.isEmpty() ? "Middle" : "Side " + side, Paper.rows(slots, SLOTS_A_ROW)));
      }
    }
    return tray;
  }

  private static Slot slot(Part part, String place, Sheet sheet) {
    String count = part.count() > 1 && !part.matched() ? part.count() + " " : "";
    return new Slot(
        count + MatchedParts.name(sheet, place),
        Stream.of(
                part.matched() ? "goes back to its place" : part.oneTime() ? "one-time" : "",
                part.facing())
            .filter(l -> !l.isEmpty())
            .toList());
  }

  private static JointBlanks joint(String title, Handling.Fastening f) {
    TighteningOrder order = TighteningOrder.of(f.count(), f.layout());
    String passes =
        order.passes().stream()
            .map(p -> Text.plain(f.targetNm() * p.percent() / 100))
            .distinct()
            .collect(Collectors.joining(", then "));
    return new JointBlanks(
        title,
        Text.joint(f)
            + ", "
            + Text.source(f.source())
            + (f.locked() ? ", threadlocker " + f.locker() : "")
            + (f.across().isEmpty() ? "" : ", " + f.across())
            + (f.count() > 1 ? ". In passes " + passes : ""),
        Paper.rows(order.order(), BLANKS_A_ROW));
  }
}
