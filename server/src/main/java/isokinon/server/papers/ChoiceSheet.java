package isokinon.server.papers;

import static isokinon.server.papers.Paper.list;
import static isokinon.server.papers.Paper.section;
import static isokinon.server.papers.Paper.table;
import static isokinon.server.papers.Paper.text;

import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.shared.Text;
import isokinon.server.work.wetends.ChooserView;
import isokinon.server.work.wetends.ChooserView.KitChoice;
import isokinon.server.work.wetends.ChooserView.RatedBar;
import isokinon.server.work.wetends.ChooserView.RatedMaterial;
import isokinon.server.work.wetends.ChooserView.RoleView;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Why this wet end: the duty, what can go in with its reasons, the materials as temperature bars.
 */
@Component
public class ChoiceSheet {

  private static final double WIDTH_PT = 108;
  private static final double HOTTEST_C = 120;

  private final Paper paper;

  ChoiceSheet(Paper paper) {
    this.paper = paper;
  }

  /** The choice as a PDF. */
  public byte[] pdf(ChooserView view, String day) {
    return paper.pdf("Wet end " + name(view), body(view, day));
  }

  private static String name(ChooserView v) {
    return v.tag().isEmpty() ? "for a duty typed in" : v.tag();
  }

  private static String body(ChooserView v, String day) {
    return "<h1>"
        + text("Wet end, " + name(v))
        + "</h1><p>"
        + text(v.title())
        + (v.fittedNow().isEmpty() ? "" : text(". In it now: " + v.fittedNow()))
        + (v.bodyMaterial().isEmpty() ? "" : text(". Body " + v.bodyMaterial()))
        + "</p><p class='soft'>"
        + text(day)
        + "</p><p class='first'>"
        + text(v.note())
        + " The site's own rules and the people licensed for them come first.</p>"
        + (v.offer().isEmpty() ? "" : "<p><b>" + text(v.offer()) + "</b></p>")
        + section("The duty", duty(v.duty()))
        + section("What can go in", kits(v))
        + (v.ways().isEmpty()
            ? ""
            : section(
                "What to change", list(v.ways().stream().map(w -> w.sentence()).toList(), "")))
        + section(
            "What would change the choice",
            list(v.turns().stream().map(t -> t.sentence()).toList(), "Nothing within reach."))
        + section(
            "Not known, and worth asking",
            list(
                v.questions().stream().map(q -> q.ask() + " " + q.because()).toList(),
                "Nothing that would change the choice."))
        + v.roles().stream()
            .filter(r -> r.role().equals(v.lead()) || !r.fittedNow().isEmpty())
            .map(r -> role(r, v.duty(), r.role().equals(v.lead())))
            .reduce("", String::concat);
  }

  private static String duty(DutyForm d) {
    List<List<String>> fluids =
        d.exposures().stream()
            .map(
                e ->
                    List.of(
                        e.name(),
                        Text.plain(e.concentrationPct()) + " %",
                        Text.plain(e.temperatureC()) + " °C",
                        Text.plain(Math.round(e.share() * 1000) / 10.0) + " % of the time",
                        e.kind() == null ? "" : e.kind().code()))
            .toList();
    List<String> facts = new ArrayList<>();
    facts.add("solids wear: " + (d.abrasion() == null ? "none" : d.abrasion().code()));
    facts.add("suction lift " + Text.plain(d.suctionLiftM()) + " m");
    fact(facts, "discharge", d.pressureBar(), "bar");
    fact(facts, "viscosity", d.viscosityMpas(), "mPa·s");
    fact(facts, "largest solids", d.solidsMm(), "mm");
    fact(facts, "coldest", d.ambientC(), "°C");
    facts.add("food: " + (d.food() == null ? "not known" : d.food() ? "yes" : "no"));
    facts.add("static: " + (d.zone() == null ? "not known" : d.zone().code()));
    facts.add("runs dry: " + (d.runsDry() == null ? "not known" : d.runsDry() ? "yes" : "no"));
    return table(List.of("Fluid", "Strength", "Highest", "Share", "As"), fluids)
        + "<p>"
        + text(Text.sentence(String.join(", ", facts)) + ".")
        + "</p>";
  }

  private static void fact(List<String> facts, String name, Double value, String unit) {
    facts.add(name + " " + (value == null ? "not known" : Text.plain(value) + " " + unit));
  }

  private static String kits(ChooserView v) {
    if (v.kits().isEmpty()) {
      return "<p class='soft'>No kits: no sheet was meant.</p>";
    }
    List<List<String>> rows = new ArrayList<>();
    for (KitChoice k : v.kits()) {
      rows.add(
          List.of(
              k.material() + (k.fittedNow() ? ", in it now" : ""),
              k.verdict().code(),
              money(k.costPer1000h()) + band(k.costLow(), k.costHigh(), 1),
              hours(k.lifeHours()) + band(k.lifeLow(), k.lifeHigh(), 100),
              k.hardwareNote()
                  + (k.hardwarePrice() > 0
                      ? ", £" + Text.plain(Math.round(k.hardwarePrice())) + " once"
                      : ""),
              k.quantity() > 0
                  ? k.quantity() + " on " + k.place() + ", " + k.statusSays()
                  : Text.count(k.leadDays(), "day"),
              k.because() + " " + Text.sentence(k.evidence()) + "."));
    }
    return table(
        List.of("Wet end", "Verdict", "£ per 1000 h", "Life, h", "Besides", "Shelf", "Why"), rows);
  }

  private static String money(Optional<Double> pounds) {
    return pounds.map(p -> Text.plain(Math.round(p))).orElse("-");
  }

  private static String hours(Optional<Double> hours) {
    return hours.map(h -> Text.plain(Math.round(h / 10) * 10L)).orElse("-");
  }

  private static String band(Optional<Double> low, Optional<Double> high, long step) {
    return low.isEmpty() || high.isEmpty()
        ? ""
        : " ("
            + Text.plain(Math.round(low.get() / step) * step)
            + " to "
            + Text.plain(Math.round(high.get() / step) * step)
            + ")";
  }

  /** A role's materials; of a role that does not lead only what is in the pump. */
  private static String role(RoleView r, DutyForm duty, boolean all) {
    StringBuilder rows = new StringBuilder("<table><tr><th></th>");
    duty.exposures().forEach(e -> rows.append("<th>").append(text(e.name())).append("</th>"));
    rows.append("<th>Why</th></tr>");
    for (RatedMaterial m : r.materials()) {
      if (!all && !m.fittedNow()) {
        continue;
      }
      rows.append("<tr><td class='whole'><b>")
          .append(text(m.material()))
          .append("</b><br/>")
          .append(text(m.verdict().code()))
          .append("</td>");
      m.bars().forEach(b -> rows.append("<td>").append(bar(b)).append("</td>"));
      for (int i = m.bars().size(); i < duty.exposures().size(); i++) {
        rows.append("<td></td>");
      }
      rows.append("<td>").append(text(m.reason())).append("</td></tr>");
    }
    String title = "Materials, " + Text.words(r.role());
    return section(
        r.fittedNow().isEmpty() ? title : title + ", " + r.fittedNow() + " in it now",
        rows + "</table>");
  }

  /** Solid to where nothing attacks, grey to where life is shortened, a line at the duty. */
  private static String bar(RatedBar b) {
    double full = at(b.fullC().orElse(0.0));
    double last = at(b.limitedC().orElse(0.0));
    return String.format(
        Locale.ROOT,
        "<div style='position:relative;width:%.0fpt;height:12pt'>"
            + "<div style='position:absolute;left:0;top:5.6pt;width:%.0fpt;height:0.5pt;"
            + "background:#C9C2B4'></div>"
            + "<div style='position:absolute;left:0;top:3pt;width:%.1fpt;height:6pt;"
            + "background:#B9B4A8'></div>"
            + "<div style='position:absolute;left:0;top:3pt;width:%.1fpt;height:6pt;"
            + "background:#3C4346'></div>"
            + "<div style='position:absolute;left:%.1fpt;top:0;width:1.4pt;height:12pt;"
            + "background:#1E2326'></div></div>",
        WIDTH_PT,
        WIDTH_PT,
        Math.max(full, last),
        full,
        at(b.temperatureC()));
  }

  private static double at(double celsius) {
    return WIDTH_PT * Math.max(0, Math.min(HOTTEST_C, celsius)) / HOTTEST_C;
  }
}
