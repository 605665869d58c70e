package isokinon.server.papers;

import static isokinon.server.papers.Paper.text;

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
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Strip list, tray card and torque sheet of a job on paper, for where no screen goes: large type,
 * boxes to tick, blanks to write readings in.
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
    Plan plan =
        rebuild
            .plan()
            .orElse(
                new Plan(
                    List.of(), List.of(), 0, 0, 0, 0, 0, 0, 0, List.of(), List.of(), List.of(),
                    List.of(), List.of(), true));
    List<String> strip = rebuild.route();
    return paper.pdf(
        pump.tag() + " clipboard",
        head(pump, sheet)
            + stripList(sheet, strip)
            + trayCard(sheet, plan)
            + torqueSheet(sheet, plan.build()));
  }

  private static String head(BenchView.PumpHead pump, Sheet sheet) {
    return "<h1>"
        + text(pump.tag())
        + "</h1><p>"
        + text(pump.duty() + ". " + sheet.title())
        + "</p><p class='soft'>"
        + text("Sheet " + sheet.id() + " revision " + sheet.revision() + ". " + sheet.note())
        + "</p><p class='first'>The maker's manual and the site's own procedure come before this"
        + " paper. Lock off, vent and prove every energy gone before the first step.</p>"
        + sheet.hazards().stream()
            .map(
                h ->
                    "<p><b>"
                        + text(h.title())
                        + "</b> "
                        + text(h.act() + ". " + h.ask())
                        + " ______</p>")
            .collect(Collectors.joining());
  }

  private static String stripList(Sheet sheet, List<String> steps) {
    StringBuilder rows = new StringBuilder();
    int number = 1;
    for (String id : steps) {
      Handling how = sheet.handling(id).orElse(Handling.PLAIN);
      rows.append("<tr><td>")
          .append(number++)
          .append("</td><td><div class='step'>")
          .append(text(sheet.step(id).map(s -> s.strip()).orElse(id)))
          .append("</div>")
          .append(line("", stand(how)))
          .append(
              how.cautions().stream()
                  .filter(c -> c.when().shown(true))
                  .map(c -> line("", c.say()))
                  .collect(Collectors.joining()))
          .append(
              how.checks().stream()
                  .filter(c -> c.when().shown(true))
                  .map(c -> line("hold", c.ask() + (c.unit().isEmpty() ? "" : " ____ " + c.unit())))
                  .collect(Collectors.joining()))
          .append("</td><td><div class='tick'></div></td></tr>");
    }
    return "<h2 class='page'>Strip list</h2><table class='ticks'>" + rows + "</table>";
  }

  private static String stand(Handling how) {
    List<String> words = new ArrayList<>();
    if (!how.pose().isEmpty()) {
      words.add(Text.sentence(Text.words(how.pose())));
    }
    how.tools().forEach(t -> words.add(Text.tool(t)));
    return String.join(", ", words);
  }

  private static String line(String style, String words) {
    return words.isEmpty() ? "" : "<div class='" + style + "'>" + text(words) + "</div>";
  }

  /** Slots by side, in the order of the sheet; a matched part has a slot for every piece. */
  private static String trayCard(Sheet sheet, Plan plan) {
    StringBuilder card = new StringBuilder("<h2 class='page'>Tray card</h2>");
    for (String side : List.of("A", "", "B")) {
      List<String> slots = new ArrayList<>();
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
        card.append(Paper.section(side.isEmpty() ? "Middle" : "Side " + side, grid(slots)));
      }
    }
    return card.toString();
  }

  private static String slot(Part part, String place, Sheet sheet) {
    String count = part.count() > 1 && !part.matched() ? part.count() + " " : "";
    return "<td class='slot'><b>"
        + text(count + MatchedParts.name(sheet, place))
        + "</b>"
        + line("soft", part.matched() ? "goes back to its place" : part.oneTime() ? "one-time" : "")
        + line("soft", part.facing())
        + "</td>";
  }

  private static String grid(List<String> cells) {
    StringBuilder table = new StringBuilder("<table>");
    for (int i = 0; i < cells.size(); i += SLOTS_A_ROW) {
      table.append("<tr>");
      for (int j = i; j < i + SLOTS_A_ROW; j++) {
        table.append(j < cells.size() ? cells.get(j) : "<td></td>");
      }
      table.append("</tr>");
    }
    return table.append("</table>").toString();
  }

  private static String torqueSheet(Sheet sheet, List<String> build) {
    StringBuilder out = new StringBuilder("<h2 class='page'>Torque sheet, N·m</h2>");
    boolean any = false;
    for (String id : build) {
      var joint = sheet.fastening(id);
      if (joint.isPresent()) {
        any = true;
        out.append(joint(sheet.stepSentence(id), joint.get()));
      }
    }
    return any ? out.toString() : out + "<p class='soft'>Nothing to torque on this way.</p>";
  }

  private static String joint(String title, Handling.Fastening f) {
    TighteningOrder order = TighteningOrder.of(f.count(), f.layout());
    String passes =
        order.passes().stream()
            .map(p -> Text.plain(f.targetNm() * p.percent() / 100))
            .distinct()
            .collect(Collectors.joining(", then "));
    StringBuilder blanks = new StringBuilder("<table class='blanks'>");
    List<Integer> numbers = order.order();
    for (int i = 0; i < numbers.size(); i += BLANKS_A_ROW) {
      blanks.append("<tr>");
      for (int j = i; j < Math.min(numbers.size(), i + BLANKS_A_ROW); j++) {
        blanks.append("<td class='blank'>").append(numbers.get(j)).append("</td>");
      }
      blanks.append("</tr>");
    }
    return "<div class='step'>"
        + text(title)
        + "</div><p>"
        + text(
            Text.joint(f)
                + (f.locked() ? ", threadlocker " + f.locker() : "")
                + (f.across().isEmpty() ? "" : ", " + f.across())
                + (f.count() > 1 ? ". In passes " + passes : ""))
        + "</p>"
        + blanks.append("</table>");
  }
}
