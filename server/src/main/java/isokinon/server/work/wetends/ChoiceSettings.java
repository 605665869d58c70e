package isokinon.server.work.wetends;

import isokinon.core.material.Material;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Sheet;
import isokinon.core.value.Code;
import isokinon.core.wetend.FluidUse;
import isokinon.core.wetend.Roles;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.RequestProblem;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Turns a question, about a pump or about a duty typed in, into what the choice needs to know. */
@Service
class ChoiceSettings {

  private final PumpRegister pumps;
  private final FittedWetEnds fitted;
  private final Sheets sheets;
  private final ShopLibrary library;

  ChoiceSettings(PumpRegister pumps, FittedWetEnds fitted, Sheets sheets, ShopLibrary library) {
    this.pumps = pumps;
    this.fitted = fitted;
    this.sheets = sheets;
    this.library = library;
  }

  /**
   * What a question is about.
   *
   * @throws RequestProblem with everything that is wrong with it
   */
  ChoiceSetting of(WetEnds.Question q) {
    return q.tag() == null || q.tag().isEmpty() ? typedIn(q) : ofPump(q);
  }

  private ChoiceSetting ofPump(WetEnds.Question q) {
    PumpRow pump = pumps.pump(q.tag());
    WetEndRow wetEnd = fitted.of(pump.tag());
    DutyForm form =
        q.duty() == null
            ? DutyForm.of(pump, pumps.exposures(pump.tag()), wetEnd, library)
            : named(q.duty());
    Optional<Sheet> sheet = pump.sheet().flatMap(sheets::find);
    return new ChoiceSetting(
        pump.tag(),
        sheet,
        pump.madeBy(),
        pump.family(),
        pump.role(),
        fitted.materials(pump),
        wetEnd,
        pump.material(),
        form,
        form.duty(library),
        pump.hoursPerDay(),
        Optional.of(pump.consequence()));
  }

  private ChoiceSetting typedIn(WetEnds.Question q) {
    if (q.duty() == null) {
      throw RequestProblem.invalid("duty", "Give a pump, or a duty.");
    }
    Optional<Sheet> sheet = Optional.empty();
    if (q.sheet() != null && !q.sheet().isEmpty()) {
      sheet = sheets.find(q.sheet());
      if (sheet.isEmpty()) {
        throw RequestProblem.invalid("sheet", "No sheet is called " + q.sheet() + ".");
      }
    }
    Family family =
        sheet
            .map(Sheet::family)
            .or(() -> Code.parse(Family.class, q.family() == null ? "" : q.family()))
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "family", "A family is " + Code.all(Family.class) + "."));
    Map<String, String> inPump = new LinkedHashMap<>();
    if (q.body() != null && !q.body().isEmpty()) {
      inPump.put(Roles.BODY, known("body", q.body()).code());
    }
    return new ChoiceSetting(
        "",
        sheet,
        List.of(),
        family,
        lead(family, sheet),
        inPump,
        WetEndRow.unknown(""),
        "",
        named(q.duty()),
        q.duty().duty(library),
        0,
        Optional.empty());
  }

  /** The first role of the family that the sheet has a part for: a hose pump leads by its hose. */
  private static String lead(Family family, Optional<Sheet> sheet) {
    List<String> roles = Roles.of(family);
    return roles.stream()
        .filter(
            r ->
                sheet.stream()
                    .flatMap(x -> x.parts().stream())
                    .anyMatch(p -> p.role().equals(Optional.of(r))))
        .findFirst()
        .orElse(roles.get(0));
  }

  private Material known(String path, String code) {
    return library
        .materials()
        .material(code)
        .orElseThrow(
            () -> RequestProblem.invalid(path, "The library knows no material \"" + code + "\"."));
  }

  /** The form with the names of its fluids. */
  private DutyForm named(DutyForm f) {
    List<DutyForm.FluidForm> exposures = f.exposures() == null ? List.of() : f.exposures();
    return new DutyForm(
        f.title(),
        exposures.stream()
            .map(
                e ->
                    e == null || e.fluid() == null
                        ? e
                        : library
                            .materials()
                            .fluid(e.fluid())
                            .map(
                                known ->
                                    new DutyForm.FluidForm(
                                        known.code(),
                                        known.name(),
                                        e.concentrationPct(),
                                        e.usualC() == null ? e.temperatureC() : e.usualC(),
                                        e.temperatureC(),
                                        e.share(),
                                        e.kind() == null ? FluidUse.PROCESS : e.kind(),
                                        e.note() == null ? "" : e.note()))
                            .orElse(e))
            .toList(),
        f.abrasion(),
        f.suctionLiftM(),
        f.solidsPct(),
        f.solidsMohs(),
        f.solidsMm(),
        f.pressureBar(),
        f.viscosityMpas(),
        f.densityKgM3(),
        f.ambientC(),
        f.food(),
        f.zone(),
        f.runsDry(),
        f.chlorideMgL(),
        f.phLow(),
        f.phHigh(),
        f.chlorineMgL(),
        f.stopCost());
  }
}
