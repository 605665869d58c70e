package isokinon.server.work.units;

import isokinon.core.wetend.Roles;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.units.SpareUnitPartRow;
import isokinon.server.db.units.SpareUnitRow;
import isokinon.server.work.pumps.FittedWetEnds;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A unit apart from where it stands: everything that goes along when it is moved.
 *
 * @param from where it comes from, as a sentence names it
 * @param sheet of its construction; empty where it has none
 * @param wear its wear parts, the set that leads its wear among them
 */
record Unit(
    String from,
    String serial,
    String sheet,
    String series,
    String bodyMaterial,
    String variants,
    String hardware,
    double rotorClassMm,
    String parts,
    List<Part> wear,
    Optional<Look> look) {

  /** What the shelf is called in sentences and records. */
  static final String SHELF = "the shelf";

  /**
   * A wear part in it.
   *
   * @param place where in the unit; empty where it stands for all parts of its role
   * @param hours on it
   * @param counts on it of what drives its wear
   */
  record Part(
      String role,
      String place,
      String serial,
      String material,
      double hours,
      double counts,
      boolean leading) {

    private static Part of(FittedPartRow f, PumpRow pump) {
      return new Part(
          f.role(),
          f.place(),
          f.partSerial(),
          f.material(),
          f.age(pump),
          f.countAge(pump),
          f.leading());
    }

    private static Part of(SpareUnitPartRow p) {
      return new Part(
          p.role(), p.place(), p.partSerial(), p.material(), p.hours(), p.counts(), p.leading());
    }
  }

  /** It is to be looked at after so many running hours, and why. */
  record Look(double inHours, String because) {}

  /** The unit in a position, with its hours carried on to now. */
  static Unit in(PumpRow pump, WetEndRow wetEnd, List<FittedPartRow> fitted, Optional<Look> look) {
    return new Unit(
        pump.tag(),
        pump.serial(),
        pump.sheet().orElse(""),
        pump.series(),
        pump.bodyMaterial(),
        pump.variants(),
        wetEnd.hardware(),
        wetEnd.rotorClassMm(),
        wetEnd.parts(),
        fitted.stream().map(f -> Part.of(f, pump)).toList(),
        look);
  }

  /** A unit on the shelf. */
  static Unit onShelf(SpareUnitRow row, List<SpareUnitPartRow> parts) {
    return new Unit(
        SHELF,
        row.serial(),
        row.sheetId(),
        row.series(),
        row.bodyMaterial(),
        row.variants(),
        row.hardware(),
        row.rotorClassMm(),
        row.parts(),
        parts.stream().map(Part::of).toList(),
        Optional.ofNullable(row.lookInHours()).map(h -> new Look(h, row.lookBecause())));
  }

  /** Its materials by role, the one that leads its wear first. */
  Map<String, String> materials() {
    Map<String, String> materials = new LinkedHashMap<>();
    wear.stream().filter(Part::leading).forEach(p -> materials.put(p.role(), p.material()));
    materials.putAll(FittedWetEnds.parts(parts, bodyMaterial));
    materials.put(Roles.BODY, bodyMaterial);
    return materials;
  }

  /** The unit as it lies on the shelf. */
  SpareUnitRow row(String place, String cameFrom, LocalDate since) {
    return new SpareUnitRow(
        serial,
        sheet,
        series,
        bodyMaterial,
        variants,
        hardware,
        rotorClassMm,
        parts,
        place,
        "",
        cameFrom,
        since,
        look.map(Look::inHours).orElse(null),
        look.map(Look::because).orElse(""),
        null);
  }

  /** What is in it, as it lies on the shelf. */
  List<SpareUnitPartRow> partRows() {
    return wear.stream()
        .map(
            p ->
                new SpareUnitPartRow(
                    serial,
                    p.role(),
                    p.place(),
                    p.serial(),
                    p.material(),
                    p.hours(),
                    p.counts(),
                    p.leading()))
        .toList();
  }
}
