package isokinon.server.work.compute;

import isokinon.core.kit.KitCover;
import isokinon.core.kit.Offer;
import isokinon.core.material.Material;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.plan.UnplannableRequest;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.sheet.reading.SheetReading;
import isokinon.core.stock.ShelfLife;
import isokinon.core.torque.TighteningOrder;
import isokinon.core.torque.WrenchSetting;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.Rating;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.RequestProblem;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The stateless compute interface: everything needed is in the question, nothing is stored. */
@Service
public class Compute {

  private final Sheets sheets;
  private final ShopLibrary library;

  Compute(Sheets sheets, ShopLibrary library) {
    this.sheets = sheets;
    this.library = library;
  }

  /**
   * Plans on a sheet that is given as JSON text, or on a stored one by id.
   *
   * @throws RequestProblem with every fault of the sheet or the request
   */
  public Plan plan(Optional<String> sheetJson, Optional<String> sheetId, PlanRequest request) {
    Sheet sheet = sheetJson.map(Compute::read).orElseGet(() -> stored(sheetId));
    try {
      return new Planner().plan(sheet.by(List.of()), request);
    } catch (UnplannableRequest e) {
      throw RequestProblem.invalid(
          e.reasons().stream().map(r -> new Fault(r.path(), r.message())).toList());
    }
  }

  private static Sheet read(String json) {
    SheetReading reading = SheetReader.forComputing().read(json);
    return reading
        .sheet()
        .orElseThrow(
            () ->
                RequestProblem.invalid(
                    reading.faults().stream()
                        .map(
                            f ->
                                new Fault(
                                    f.path().isEmpty() ? "sheet" : "sheet." + f.path(),
                                    f.message()))
                        .toList()));
  }

  private Sheet stored(Optional<String> id) {
    String wanted =
        id.orElseThrow(
            () -> RequestProblem.invalid("sheet", "Give a sheet, or the id of a stored one."));
    return sheets
        .find(wanted)
        .orElseThrow(() -> RequestProblem.invalid("sheetId", "No sheet is called " + wanted + "."));
  }

  /** Most kits and single parts of one question, and most of one part: the cover stays quick. */
  private static final int MOST_OFFERS = 200;

  private static final int MOST_OF_A_PART = 10_000;

  /** A kit or single part of a question. */
  public Offer offer(String at, String id, double price, Map<String, Integer> parts) {
    parts.forEach((part, count) -> checkedCount(at + ".parts." + part, count, 1));
    try {
      return new Offer(id, price, parts);
    } catch (IllegalArgumentException e) {
      throw RequestProblem.invalid(at, e.getMessage());
    }
  }

  /**
   * The cheapest cover of {@code need}.
   *
   * @throws RequestProblem 422 naming the parts nobody offers; 400 where a number is none
   */
  public KitCover.Cover kitCover(
      Map<String, Integer> need, List<Offer> offers, Map<String, Integer> onHand) {
    need.forEach((part, count) -> checkedCount("need." + part, count, 0));
    onHand.forEach((part, count) -> checkedCount("onHand." + part, count, 0));
    if (offers.size() > MOST_OFFERS || need.size() > MOST_OFFERS) {
      throw RequestProblem.invalid(
          "need", "At most " + MOST_OFFERS + " parts and " + MOST_OFFERS + " offers.");
    }
    try {
      return KitCover.cheapest(need, offers, onHand);
    } catch (KitCover.Uncoverable e) {
      throw RequestProblem.notNow(
          e.parts().stream()
              .map(p -> new Fault("need." + p, "Neither a kit nor a single part brings " + p + "."))
              .toList());
    }
  }

  private static void checkedCount(String at, Integer count, int least) {
    if (count == null || count < least || count > MOST_OF_A_PART) {
      throw RequestProblem.invalid(
          at, "A whole number from " + least + " to " + MOST_OF_A_PART + " is wanted.");
    }
  }

  /** Tightening order and passes. */
  public TighteningOrder torqueOrder(int count, String layout) {
    Handling.Layout parsed =
        Code.parse(Handling.Layout.class, layout)
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "layout", "A layout is " + Code.all(Handling.Layout.class) + "."));
    return RequestProblem.answered(() -> TighteningOrder.of(count, parsed));
  }

  /** Setting of a torque wrench with an adapter, N·m. */
  public double torqueSetting(double targetNm, double handleMm, double adapterMm, double angleDeg) {
    return RequestProblem.answered(
        () -> WrenchSetting.settingNm(targetNm, handleMm, adapterMm, angleDeg));
  }

  /** Ratings of materials in a duty; all of the role where none is named. */
  public List<Rating> rate(String role, Duty duty, Optional<List<String>> codes) {
    List<Fault> faults = new ArrayList<>();
    faults.addAll(duty.faults());
    for (int i = 0; i < duty.exposures().size(); i++) {
      String fluid = duty.exposures().get(i).fluid();
      if (library.materials().fluid(fluid).isEmpty()) {
        faults.add(
            new Fault(
                "exposures[" + i + "].fluid", "The library knows no fluid \"" + fluid + "\"."));
      }
    }
    if (!library.materials().knowsRole(role)) {
      faults.add(new Fault("role", "No material is used as \"" + role + "\"."));
    }
    List<Material> materials = new ArrayList<>();
    if (codes.isEmpty()) {
      library.materials().materials().stream()
          .filter(m -> m.roles().contains(role))
          .forEach(materials::add);
    } else {
      for (int i = 0; i < codes.get().size(); i++) {
        String code = codes.get().get(i);
        int at = i;
        library
            .materials()
            .material(code)
            .ifPresentOrElse(
                materials::add,
                () ->
                    faults.add(
                        new Fault(
                            "materials[" + at + "]",
                            "The library knows no material \"" + code + "\".")));
      }
    }
    if (!faults.isEmpty()) {
      throw RequestProblem.invalid(faults);
    }
    return library.rater().rate(duty, materials);
  }

  /** Shelf life of a material by cure date. */
  public ShelfLife shelfLife(String code, LocalDate cured) {
    Material material =
        library
            .materials()
            .material(code)
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "material", "The library knows no material \"" + code + "\"."));
    return ShelfLife.of(material.shelf(), cured);
  }
}
