package isokinon.server.work.units;

import isokinon.core.sheet.Sheet;
import isokinon.server.db.units.SpareUnitMapper;
import isokinon.server.db.units.SpareUnitPartRow;
import isokinon.server.db.units.SpareUnitRow;
import isokinon.server.work.library.Sheets;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The units on the shelf that can go into a position. */
@Component
public class SpareUnits {

  /**
   * A unit on the shelf.
   *
   * @param title of its construction
   * @param place where it lies; empty where nobody said
   * @param material of the set that leads its wear
   * @param hours on that set
   * @param note what whoever put it there said; empty where nothing
   */
  public record SpareUnit(
      String serial, String title, String place, String material, double hours, String note) {}

  private final SpareUnitMapper units;
  private final Sheets sheets;

  SpareUnits(SpareUnitMapper units, Sheets sheets) {
    this.units = units;
    this.sheets = sheets;
  }

  /** All of them, by their serials. */
  public List<SpareUnit> all() {
    Map<String, SpareUnitPartRow> sets =
        units.allParts().stream()
            .filter(SpareUnitPartRow::leading)
            .collect(Collectors.toMap(SpareUnitPartRow::unit, Function.identity()));
    return units.all().stream()
        .filter(u -> !u.retired())
        .map(u -> view(u, sets.get(u.serial())))
        .toList();
  }

  /** Those of a construction. */
  public List<SpareUnit> of(Sheet sheet) {
    return units.of(sheet.id()).stream().map(u -> view(u, units.parts(u.serial()).get(0))).toList();
  }

  private SpareUnit view(SpareUnitRow u, SpareUnitPartRow set) {
    return new SpareUnit(
        u.serial(),
        sheets.find(u.sheetId()).map(Sheet::title).orElse(u.series()),
        u.place(),
        set.material(),
        set.hours(),
        u.note());
  }
}
