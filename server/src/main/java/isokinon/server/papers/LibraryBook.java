package isokinon.server.papers;

import isokinon.core.material.Knowledge;
import isokinon.core.value.Code;
import isokinon.server.papers.Paper.Table;
import isokinon.server.work.materials.MaterialView.CeilingLine;
import isokinon.server.work.materials.MaterialView.FluidSheet;
import isokinon.server.work.materials.MaterialView.MaterialSheet;
import isokinon.server.work.materials.MaterialView.PairLine;
import isokinon.server.work.materials.MaterialView.ResistanceLine;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The material library on paper: a fluid with everything, a material with everything, the whole.
 */
@Component
public class LibraryBook {

  private final Paper paper;

  LibraryBook(Paper paper) {
    this.paper = paper;
  }

  /**
   * A page of the book.
   *
   * @param lines what holds whatever is beside it
   * @param table what stands in it
   */
  public record Page(String title, String under, List<String> lines, Table table) {}

  /** Fluids, each on pages of its own: a strength a column, a material a row. */
  public byte[] fluids(String title, List<FluidSheet> fluids) {
    return book(title, fluids.stream().map(LibraryBook::page).toList());
  }

  /** A material, with every fluid it has a row for. */
  public byte[] material(MaterialSheet m) {
    List<List<String>> rows = new ArrayList<>();
    for (PairLine fluid : m.fluids()) {
      for (ResistanceLine r : fluid.rows()) {
        rows.add(
            List.of(
                fluid.name(),
                band(r.fromPct(), r.toPct()),
                limits(r),
                r.effect().map(Code::code).orElse(""),
                known(r)));
      }
    }
    return book(
        m.material() + " with every fluid",
        List.of(
            new Page(
                m.material(),
                m.name() + ", " + Text.plain(m.minC()) + " to " + Text.plain(m.maxC()) + " °C",
                List.of(),
                new Table(
                    List.of("Fluid", "Strength", "Full / limited °C", "Does", "Known"), rows))));
  }

  private byte[] book(String title, List<Page> pages) {
    return paper.pdf("library", title, Map.of("pages", pages));
  }

  private static Page page(FluidSheet f) {
    List<String> lines = new ArrayList<>();
    lines.add(
        "Hurts: " + String.join(", ", f.hurts()) + ". Wear: " + String.join(", ", f.wear()) + ".");
    lines.add("Spilt: " + f.spilt());
    for (CeilingLine c : f.ceilings()) {
      lines.add("Ceiling, " + band(c.fromPct(), c.toPct()) + ": " + Text.inSentence(c.say()) + ".");
    }
    f.apart()
        .forEach(a -> lines.add("Never with " + Text.inSentence(a.group()) + ": " + a.happens()));
    List<String> bands =
        f.pairs().stream()
            .flatMap(p -> p.rows().stream())
            .filter(r -> r.ownRow().isEmpty())
            .map(r -> band(r.fromPct(), r.toPct()))
            .distinct()
            .toList();
    List<String> heads = new ArrayList<>(List.of("Material"));
    heads.addAll(bands);
    return new Page(
        f.name(),
        String.join(", ", f.aliases()),
        lines,
        new Table(heads, f.pairs().stream().map(p -> row(p, bands)).toList()));
  }

  private static List<String> row(PairLine pair, List<String> bands) {
    List<String> cells = new ArrayList<>(List.of(pair.material()));
    for (String band : bands) {
      cells.add(
          pair.rows().stream()
              .filter(r -> band(r.fromPct(), r.toPct()).equals(band))
              .filter(r -> !r.under())
              .findFirst()
              .map(r -> limits(r) + r.effect().map(e -> " " + e.code()).orElse("") + mark(r))
              .orElse("not known"));
    }
    return cells;
  }

  private static String limits(ResistanceLine r) {
    return r.limitedC()
        .map(l -> r.fullC().map(Text::plain).orElse("0") + " / " + Text.plain(l))
        .orElse("never");
  }

  /** Shop rows and thin ones are told apart where only figures stand. */
  private static String mark(ResistanceLine r) {
    return r.ownRow().isPresent() ? " (own)" : r.known() == Knowledge.THIN ? " (thin)" : "";
  }

  private static String known(ResistanceLine r) {
    return r.ownRow().isPresent() ? "own row" : r.known().code();
  }

  private static String band(double from, double to) {
    return from == 0 && to == 100
        ? "any strength"
        : Text.plain(from) + " to " + Text.plain(to) + " %";
  }
}
