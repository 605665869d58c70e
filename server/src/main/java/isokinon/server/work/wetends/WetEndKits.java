package isokinon.server.work.wetends;

import isokinon.core.cavity.RotorChoice;
import isokinon.core.cavity.RotorFit;
import isokinon.core.kit.Offer;
import isokinon.core.material.Material;
import isokinon.core.sheet.Sheet;
import isokinon.core.wetend.CandidateId;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.KitRanking.Candidate;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Roles;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.OfferRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.library.PlanMinutes;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.SwellSeen;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The wet-end kits of a sheet as candidates: their parts, what else must change, price, minutes.
 */
@Component
class WetEndKits {

  /** A kit with all that the ranking and the screen need of it. */
  record Offered(
      WetKitRow kit,
      Candidate candidate,
      String hardwareNote,
      Optional<String> noRotor,
      Optional<Double> swell,
      List<LotRow> lots,
      GroupEvidence known) {}

  private final SwellSeen swells;
  private final Catalogue catalogue;
  private final StoresMapper stores;
  private final ShopLibrary library;
  private final LifeService lives;
  private final PlanMinutes plans;

  WetEndKits(
      SwellSeen swells,
      Catalogue catalogue,
      StoresMapper stores,
      ShopLibrary library,
      LifeService lives,
      PlanMinutes plans) {
    this.swells = swells;
    this.catalogue = catalogue;
    this.stores = stores;
    this.library = library;
    this.lives = lives;
    this.plans = plans;
  }

  /** The kits of the setting's sheet; none where no sheet is known. */
  List<Offered> offered(ChoiceSetting s) {
    return s.sheet().map(sheet -> offered(s, sheet)).orElse(List.of());
  }

  private List<Offered> offered(ChoiceSetting s, Sheet sheet) {
    List<OfferRow> singles = stores.offers(sheet.id());
    List<LotRow> lots = stores.lots(sheet.id(), s.tag());
    // A kit of a material the library does not know cannot be judged at all; of two kits of the
    // same
    // make-up the first stands for both.
    return catalogue.kits(sheet.id()).stream()
        .filter(k -> library.materials().material(k.material()).isPresent())
        .map(k -> offered(s, sheet, k, singles, lots))
        .collect(Collectors.toMap(o -> o.candidate().id(), o -> o, (a, b) -> a, LinkedHashMap::new))
        .values()
        .stream()
        .toList();
  }

  private Offered offered(
      ChoiceSetting s, Sheet sheet, WetKitRow kit, List<OfferRow> singles, List<LotRow> lots) {
    String lead = s.lead();
    Map<String, String> codes = new LinkedHashMap<>();
    codes.put(lead, kit.material());
    s.inPump().forEach(codes::putIfAbsent);
    // The kit says whether a backup stands behind its diaphragm.
    codes.remove(Roles.BACKUP);
    Map<String, String> ofKit =
        FittedWetEnds.parts(kit.parts(), s.inPump().getOrDefault(Roles.BODY, ""));
    codes.putAll(ofKit);
    Map<String, Material> parts = new LinkedHashMap<>();
    codes.forEach(
        (role, code) -> library.materials().material(code).ifPresent(m -> parts.put(role, m)));
    Set<String> renewed = new HashSet<>(ofKit.keySet());
    renewed.add(lead);
    Map<String, Material> changed =
        library.rater().rate(s.duty(), parts.get(lead), lead).verdict().fits()
            ? alsoChanged(parts, renewed, lead, s.duty())
            : Map.of();
    parts.putAll(changed);
    Optional<Double> swell =
        sheet.stator().isPresent() ? swells.of(kit.material(), fluids(s.duty())) : Optional.empty();
    Other other = other(s, sheet, kit, singles, parts, changed, swell, s.duty());
    GroupEvidence known = lives.like(lead, kit.material(), s.dutyGroup());
    return new Offered(
        kit,
        new Candidate(
            new CandidateId(kit.material(), kit.hardware()),
            parts,
            renewed,
            lead,
            kit.price(),
            minutes(sheet, s.madeBy(), kit.kit(), other.parts()),
            other.price(),
            known.lives().runs() == 0 ? Optional.empty() : Optional.of(known.lives().newPump())),
        other.note(),
        other.noRotor(),
        swell,
        lots.stream().filter(l -> l.kitId().equals(kit.id())).toList(),
        known);
  }

  /**
   * Parts that would stay but do not stand the duty, in a material that does: what else must
   * change. The body stays what it is.
   */
  private Map<String, Material> alsoChanged(
      Map<String, Material> parts, Set<String> renewed, String lead, Duty duty) {
    Map<String, Material> changed = new LinkedHashMap<>();
    parts.forEach(
        (role, material) -> {
          boolean stays = !renewed.contains(role) && !role.equals(Roles.BODY);
          if (stays && !library.rater().rate(duty, material, role).verdict().fits()) {
            library.materials().inRole(role).stream()
                .map(m -> Map.entry(m, library.rater().rate(duty, m, role)))
                .filter(e -> e.getValue().verdict().fits())
                .min(
                    Comparator.comparing(
                            (Map.Entry<Material, Rating> e) -> e.getKey() != parts.get(lead))
                        .thenComparing(e -> e.getValue().verdict())
                        .thenComparing(e -> -e.getValue().factor().orElse(0.0)))
                .ifPresent(e -> changed.put(role, e.getKey()));
          }
        });
    return changed;
  }

  /** Parts of a sheet in a role; a rotor is found by its name where its sheet says no role. */
  private static List<String> partsOf(Sheet sheet, String role) {
    return sheet.parts().stream()
        .filter(p -> p.role().equals(Optional.of(role)) || p.id().equals(role))
        .map(p -> p.id())
        .toList();
  }

  /** What a kit needs besides itself. */
  private record Other(List<String> parts, double price, String note, Optional<String> noRotor) {}

  private static Other other(
      ChoiceSetting s,
      Sheet sheet,
      WetKitRow kit,
      List<OfferRow> singles,
      Map<String, Material> parts,
      Map<String, Material> changed,
      Optional<Double> seen,
      Duty duty) {
    List<String> change = new ArrayList<>();
    String note = "";
    if (!kit.hardware().isEmpty()) {
      String now = s.wetEnd().hardware();
      Optional<Sheet.Hardware> needed =
          sheet.hardware().stream().filter(h -> h.id().equals(kit.hardware())).findFirst();
      if (now.isEmpty()) {
        note = needed.map(h -> "stands on " + lower(h.title())).orElse("");
      } else if (now.equals(kit.hardware())) {
        note = "fits the plates and shaft in it";
      } else {
        needed.ifPresent(h -> change.addAll(h.differs()));
        note = needed.map(h -> "needs " + lower(h.title())).orElse("needs other plates and shaft");
      }
    }
    Optional<String> noRotor = Optional.empty();
    if (sheet.stator().isPresent() && parts.containsKey(Roles.STATOR)) {
      RotorFit.Stator sizes = sheet.stator().get();
      double hottest = duty.hottestC();
      boolean other = changed.containsKey(Roles.ROTOR);
      RotorChoice rotors = rotors(sizes, parts, seen, duty);
      Optional<RotorFit.Choice> kept = other ? Optional.empty() : kept(s, rotors);
      Optional<RotorFit.Choice> fit = kept.or(rotors::largest);
      if (fit.isEmpty()) {
        noRotor =
            Optional.of(
                "At "
                    + Text.plain(hottest)
                    + " °C no rotor sits in it within "
                    + Text.plain(sizes.leastMm())
                    + " to "
                    + Text.plain(sizes.mostMm())
                    + " mm of interference.");
      } else {
        double want = fit.get().classMm();
        boolean swap = !s.tag().isEmpty() && kept.isEmpty();
        if (swap) {
          change.addAll(partsOf(sheet, Roles.ROTOR));
        }
        note =
            (swap ? "needs " : s.tag().isEmpty() ? "takes " : "keeps ")
                + (want == 0 ? "the standard rotor" : "the rotor " + Text.plain(want) + " mm")
                + (changed.containsKey(Roles.ROTOR) ? " in " + changed.get(Roles.ROTOR).code() : "")
                + String.format(
                    Locale.ROOT,
                    ", %.2f mm tight at %s °C",
                    fit.get().fit().interferenceMm(),
                    Text.plain(hottest))
                + seen.map(
                        x ->
                            " and "
                                + Text.plain(Math.round(x * 1000) / 10.0)
                                + " % swell seen here")
                    .orElse(", no swell counted");
      }
    }
    for (Map.Entry<String, Material> e : changed.entrySet()) {
      partsOf(sheet, e.getKey()).stream().filter(p -> !change.contains(p)).forEach(change::add);
      if (e.getKey().equals(Roles.ROTOR) && sheet.stator().isPresent()) {
        continue;
      }
      note +=
          (note.isEmpty() ? "" : "; ")
              + "needs the "
              + (e.getKey().equals("o-ring") ? "O-ring" : Text.words(e.getKey()))
              + " in "
              + e.getValue().code()
              + " as well";
    }
    List<String> real = change.stream().filter(p -> sheet.part(p).isPresent()).toList();
    double price =
        real.stream()
            .mapToDouble(
                p ->
                    singles.stream()
                            .filter(o -> o.id().equals(Offer.SINGLE + p))
                            .mapToDouble(OfferRow::price)
                            .findFirst()
                            .orElse(0)
                        * sheet.part(p).map(x -> x.count()).orElse(1))
            .sum();
    return new Other(real, price, note, noRotor);
  }

  private static List<String> fluids(Duty duty) {
    return duty.exposures().stream().map(Duty.Exposure::fluid).toList();
  }

  /** The choice of a rotor for a stator of these materials at the hottest of a duty. */
  private static RotorChoice rotors(
      RotorFit.Stator stator, Map<String, Material> parts, Optional<Double> swell, Duty duty) {
    return RotorChoice.of(
        stator, alpha(parts, Roles.STATOR), alpha(parts, Roles.ROTOR), swell, duty.hottestC());
  }

  private static Optional<Double> alpha(Map<String, Material> parts, String role) {
    return Optional.ofNullable(parts.get(role)).flatMap(Material::alphaPerK);
  }

  /** The rotor in the pump, where it sits right; a duty typed in has none. */
  private static Optional<RotorFit.Choice> kept(ChoiceSetting s, RotorChoice rotors) {
    return s.tag().isEmpty() ? Optional.empty() : rotors.right(s.wetEnd().rotorClassMm());
  }

  /** Minutes of the plan that renews a kit and {@code more} parts besides. */
  private double minutes(Sheet sheet, List<String> madeBy, String kitId, List<String> more) {
    List<String> parts =
        new ArrayList<>(
            sheet.kit(kitId).stream().flatMap(k -> k.parts().keySet().stream()).toList());
    more.stream().filter(p -> !parts.contains(p)).forEach(parts::add);
    return plans.renew(sheet, madeBy, parts);
  }

  /** The candidates of a sheet with a stator for which some rotor sits right in this duty. */
  static List<Candidate> withARotor(ChoiceSetting s, List<Offered> offered, Duty duty) {
    RotorFit.Stator sizes = s.sheet().flatMap(Sheet::stator).orElseThrow();
    return offered.stream().filter(o -> sits(s, sizes, o, duty)).map(Offered::candidate).toList();
  }

  private static boolean sits(ChoiceSetting s, RotorFit.Stator sizes, Offered o, Duty duty) {
    Map<String, Material> parts = o.candidate().parts();
    RotorChoice rotors = rotors(sizes, parts, o.swell(), duty);
    return !parts.containsKey(Roles.STATOR)
        || kept(s, rotors).isPresent()
        || rotors.largest().isPresent();
  }

  private static String lower(String words) {
    return words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }
}
