package isokinon.server.papers;

import isokinon.server.papers.Paper.Table;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.shared.Text;
import isokinon.server.work.wetends.ChooserView;
import isokinon.server.work.wetends.ChooserView.KitChoice;
import isokinon.server.work.wetends.ChooserView.RatedBar;
import isokinon.server.work.wetends.ChooserView.RatedMaterial;
import isokinon.server.work.wetends.ChooserView.RoleView;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    return paper.pdf("choice", "Wet end " + name(view), values(view, day));
  }

  private static String name(ChooserView v) {
    return v.tag().isEmpty() ? "for a duty typed in" : v.tag();
  }

  /**
   * A role with its materials.
   *
   * @param fluids that each material is held against, in order
   */
  public record RolePart(String title, List<String> fluids, List<MaterialPart> materials) {}

  /** A material, with a bar for each fluid of the duty. */
  public record MaterialPart(String code, String verdict, List<BarPart> bars, String reason) {}

  /**
   * Solid to where nothing attacks, grey to where life is shortened, a line at the duty.
   *
   * @param drawn whether anything is known
   * @param axis length for {@link #HOTTEST_C}, pt; the others in its scale
   */
  public record BarPart(boolean drawn, double axis, double limited, double full, double duty) {}

  private static Map<String, Object> values(ChooserView v, String day) {
    Map<String, Object> values = new HashMap<>();
    values.put("name", name(v));
    values.put(
        "head",
        v.title()
            + (v.fittedNow().isEmpty() ? "" : ". In it now: " + v.fittedNow())
            + (v.bodyMaterial().isEmpty() ? "" : ". Body " + v.bodyMaterial()));
    values.put("day", day);
    values.put("note", v.note());
    values.put("offer", v.offer());
    values.put("fluids", fluids(v.duty()));
    values.put("facts", facts(v.duty()));
    values.put("kits", kits(v));
    values.put("ways", v.ways().stream().map(w -> w.sentence()).toList());
    values.put("turns", v.turns().stream().map(t -> t.sentence()).toList());
    values.put("questions", v.questions().stream().map(q -> q.ask() + " " + q.because()).toList());
    values.put(
        "roles",
        v.roles().stream()
            .filter(r -> r.role().equals(v.lead()) || !r.fittedNow().isEmpty())
            .map(r -> role(r, v.duty(), r.role().equals(v.lead())))
            .toList());
    return values;
  }

  private static Table fluids(DutyForm d) {
    return new Table(
        List.of("Fluid", "Strength", "Highest", "Share", "As"),
        d.exposures().stream()
            .map(
                e ->
                    List.of(
                        e.name(),
                        Text.plain(e.concentrationPct()) + " %",
                        Text.plain(e.temperatureC()) + " °C",
                        Text.plain(Math.round(e.share() * 1000) / 10.0) + " % of the time",
                        e.kind() == null ? "" : e.kind().code()))
            .toList());
  }

  private static String facts(DutyForm d) {
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
    given(facts, "chloride", d.chlorideMgL(), "mg/L");
    given(facts, "lowest pH", d.phLow(), "");
    given(facts, "highest pH", d.phHigh(), "");
    given(facts, "free chlorine", d.chlorineMgL(), "mg/L");
    return Text.sentence(String.join(", ", facts)) + ".";
  }

  private static void fact(List<String> facts, String name, Double value, String unit) {
    facts.add(name + " " + (value == null ? "not known" : Text.plain(value) + " " + unit));
  }

  /** A fact that is asked only where it decides: not known goes without saying. */
  private static void given(List<String> facts, String name, Double value, String unit) {
    if (value != null) {
      facts.add((name + " " + Text.plain(value) + " " + unit).strip());
    }
  }

  private static Table kits(ChooserView v) {
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
                      ? ", ¤" + Text.plain(Math.round(k.hardwarePrice())) + " once"
                      : ""),
              k.quantity() > 0
                  ? k.quantity() + " on " + k.place() + ", " + k.statusSays()
                  : Text.count(k.leadDays(), "day"),
              k.because() + " " + Text.sentence(k.evidence()) + "."));
    }
    return new Table(
        List.of("Wet end", "Verdict", "¤ per 1000 h", "Life, h", "Besides", "Shelf", "Why"), rows);
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
  private static RolePart role(RoleView r, DutyForm duty, boolean all) {
    String title = "Materials, " + Text.words(r.role());
    return new RolePart(
        r.fittedNow().isEmpty() ? title : title + ", " + r.fittedNow() + " in it now",
        duty.exposures().stream().map(e -> e.name()).toList(),
        r.materials().stream()
            .filter(m -> all || m.fittedNow())
            .map(m -> material(m, duty.exposures().size()))
            .toList());
  }

  private static MaterialPart material(RatedMaterial m, int fluids) {
    List<BarPart> bars = new ArrayList<>();
    m.bars().forEach(b -> bars.add(bar(b)));
    while (bars.size() < fluids) {
      bars.add(new BarPart(false, 0, 0, 0, 0));
    }
    return new MaterialPart(m.material(), m.verdict().code(), bars, m.reason());
  }

  private static BarPart bar(RatedBar b) {
    double full = at(b.fullC().orElse(0.0));
    double last = at(b.limitedC().orElse(0.0));
    return new BarPart(true, WIDTH_PT, Math.max(full, last), full, at(b.temperatureC()));
  }

  private static double at(double celsius) {
    return WIDTH_PT * Math.max(0, Math.min(HOTTEST_C, celsius)) / HOTTEST_C;
  }
}
