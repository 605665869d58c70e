package isokinon.server.work.wetends;

import isokinon.core.material.Ceiling;
import isokinon.core.material.FluidsInTurn.Turn;
import isokinon.core.material.Material;
import isokinon.core.sheet.Sheet;
import isokinon.core.wetend.CandidateId;
import isokinon.core.wetend.ChoiceOutcome;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.KitRanking;
import isokinon.core.wetend.KitRanking.Candidate;
import isokinon.core.wetend.KitRanking.Cost;
import isokinon.core.wetend.KitRanking.Life;
import isokinon.core.wetend.KitRanking.Money;
import isokinon.core.wetend.KitRanking.Ranked;
import isokinon.core.wetend.OpenFacts;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Rating.LimitedBy;
import isokinon.core.wetend.Roles;
import isokinon.core.wetend.Sensitivity;
import isokinon.core.wetend.WayOut;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.work.library.LotText;
import isokinon.server.work.library.Meetings;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.PastDuties;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.Text;
import isokinon.server.work.wetends.ChooserView.KitChoice;
import isokinon.server.work.wetends.ChooserView.PartChoice;
import isokinon.server.work.wetends.ChooserView.QuestionView;
import isokinon.server.work.wetends.ChooserView.RatedBar;
import isokinon.server.work.wetends.ChooserView.RatedMaterial;
import isokinon.server.work.wetends.ChooserView.RoleView;
import isokinon.server.work.wetends.ChooserView.TurnView;
import isokinon.server.work.wetends.ChooserView.WayOutView;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which wet end goes into a pump, or would stand a duty that somebody types in. */
@Service
public class WetEnds {

  /** Running hours over which other plates, shaft or rotor are written off (shop rule). */
  private static final double HARDWARE_HOURS = 20_000;

  private static final String NOTE =
      "Library rows are starting values of general engineering knowledge: check with the maker of"
          + " the part.";

  /**
   * A question for a wet end.
   *
   * @param tag whose; its duty stands in where none is given
   * @param sheet sheet id of a duty typed in; its kits are ranked
   * @param family family code where no sheet is meant
   * @param body material of the body
   * @param duty the duty, where it is another than the pump's
   */
  public record Question(String tag, String sheet, String family, String body, DutyForm duty) {}

  private final PumpMapper store;
  private final WetEndMapper wetEnds;
  private final FittedWetEnds fitted;
  private final ChoiceSettings settings;
  private final ShopSettings shop;
  private final WetEndKits kitsOf;
  private final ShopLibrary library;
  private final Meetings meetings;
  private final PastDuties past;
  private final ShelfLifeService shelf;
  private final Clock clock;

  WetEnds(
      PumpMapper store,
      WetEndMapper wetEnds,
      FittedWetEnds fitted,
      ChoiceSettings settings,
      ShopSettings shop,
      WetEndKits kitsOf,
      ShopLibrary library,
      Meetings meetings,
      PastDuties past,
      ShelfLifeService shelf,
      Clock clock) {
    this.store = store;
    this.wetEnds = wetEnds;
    this.fitted = fitted;
    this.settings = settings;
    this.shop = shop;
    this.kitsOf = kitsOf;
    this.library = library;
    this.meetings = meetings;
    this.past = past;
    this.shelf = shelf;
    this.clock = clock;
  }

  /** The chooser for a pump in its own duty. */
  @Transactional(readOnly = true)
  public ChooserView view(String tag) {
    return choose(new Question(tag, null, null, null, null));
  }

  /**
   * The chooser for a pump or for a duty typed in.
   *
   * @throws RequestProblem with everything that is wrong with the question
   */
  @Transactional(readOnly = true)
  public ChooserView choose(Question q) {
    ChoiceSetting s = settings.of(q);
    KitRanking ranking = new KitRanking(library.rater());
    Money money = money(s);
    List<WetEndKits.Offered> offered = kitsOf.offered(s);
    List<KitChoice> kits = kits(s, ranking, money, offered);
    Function<Duty, ChoiceOutcome> standing = standing(s, ranking, money, offered);
    String usual = s.sheet().map(WetEnds::usualHardware).orElse("");
    Function<CandidateId, String> name = id -> id.name(usual);
    return new ChooserView(
        s.tag(),
        s.sheet().map(Sheet::title).orElse(Text.sentence(Text.words(s.family().code()))),
        s.family(),
        s.sheet().map(Sheet::id).orElse(""),
        s.lead(),
        s.fittedNow(),
        s.inPump().getOrDefault(Roles.BODY, ""),
        s.sheet().map(sheet -> hardware(sheet, s.wetEnd().hardware())).orElse(""),
        s.form(),
        s.hoursPerDay(),
        s.consequence(),
        roles(s),
        kits,
        new Sensitivity(library.materials(), standing, name)
            .turns(s.duty()).stream()
                .map(t -> new TurnView(t.exposure(), t.axis(), t.upward(), t.at(), t.sentence()))
                .toList(),
        OpenFacts.of(s.duty(), library.materials(), standing, name).stream()
            .map(o -> new QuestionView(o.field(), o.ask(), o.because()))
            .toList(),
        new WayOut(library.materials(), standing, name)
            .of(s.duty()).stream()
                .map(w -> new WayOutView(w.exposure(), w.kind(), w.to(), w.sentence()))
                .toList(),
        meetings.of(
            s.duty().exposures().stream()
                .map(e -> new Turn(e.fluid(), e.concentrationPct()))
                .toList()),
        CheaperKit.among(kits).map(CheaperKit::say).orElse(""),
        NOTE);
  }

  /** The kits of a setting, what costs least first. */
  List<KitChoice> kits(ChoiceSetting s) {
    return kits(s, new KitRanking(library.rater()), money(s), kitsOf.offered(s));
  }

  private Money money(ChoiceSetting s) {
    return s.sheet().isPresent()
        ? new Money(shop.labourPerHour(), s.stopCost(), HARDWARE_HOURS)
        : new Money(0, 0, HARDWARE_HOURS);
  }

  private List<KitChoice> kits(
      ChoiceSetting s, KitRanking ranking, Money money, List<WetEndKits.Offered> offered) {
    Map<CandidateId, WetEndKits.Offered> byId =
        offered.stream().collect(Collectors.toMap(o -> o.candidate().id(), o -> o));
    return ranking
        .rank(s.duty(), offered.stream().map(WetEndKits.Offered::candidate).toList(), money)
        .stream()
        .map(r -> choice(s, r, byId.get(r.candidate().id())))
        .sorted(Comparator.comparing((KitChoice k) -> k.costPer1000h().isEmpty()))
        .toList();
  }

  /**
   * Writes a pump's duty down.
   *
   * @param alwaysSo whether it was so all along, and what stood there was wrong; else it is so from
   *     today on, and what ran before counts by the duty of its time
   * @throws RequestProblem with everything that is wrong with it
   */
  @Transactional
  public ChooserView change(String tag, DutyForm form, boolean alwaysSo, String who) {
    PumpRow pump =
        store.lock(tag).orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
    Duty duty = form.duty(library);
    WetEndRow before = fitted.of(tag);
    if (!alwaysSo) {
      past.keep(tag, DutyForm.of(pump, store.exposures(tag), before, library), duty, who);
    }
    wetEnds.clear(tag);
    wetEnds.add(form.onto(before, who, OffsetDateTime.now(clock)));
    wetEnds.clearExposures(tag);
    form.rows(tag, duty).forEach(store::addExposure);
    wetEnds.duty(
        tag,
        form.title() == null || form.title().isBlank()
            ? pump.dutyTitle()
            : Text.clipped(form.title().strip(), 120),
        duty.abrasion(),
        duty.suctionLiftM());
    return view(tag);
  }

  // ---- materials against the duty -------------------------------------------------------------

  private List<RoleView> roles(ChoiceSetting s) {
    List<RoleView> views = new ArrayList<>();
    for (String role : Roles.of(s.family())) {
      boolean alternative = role.equals(Roles.TUBE) || role.equals(Roles.HOSE);
      if (alternative && !role.equals(s.lead())) {
        continue;
      }
      String now = s.inPump().getOrDefault(role, "");
      views.add(
          new RoleView(
              role,
              Roles.wetted(role),
              now,
              library.materials().inRole(role).stream()
                  .map(m -> rated(m, library.rater().rate(s.duty(), m, role), now))
                  .sorted(
                      Comparator.comparing(RatedMaterial::verdict)
                          .thenComparing((RatedMaterial r) -> -r.factor().orElse(0.0))
                          .thenComparing(r -> -r.marginK().orElse(-1e9)))
                  .toList()));
    }
    return views;
  }

  private static RatedMaterial rated(Material m, Rating r, String now) {
    return new RatedMaterial(
        m.code(),
        m.name(),
        m.code().equals(now),
        r.verdict(),
        r.factor(),
        r.marginK(),
        r.limitedBy().map(LimitedBy::reason).orElse(""),
        r.bars().stream()
            .map(
                b ->
                    new RatedBar(
                        b.fluid(),
                        b.temperatureC(),
                        b.fullC(),
                        b.limitedC().map(l -> Math.min(l, b.serviceMaxC())),
                        b.known(),
                        b.ceiling().map(Ceiling::maxC),
                        b.verdict(),
                        b.own(),
                        b.reason()))
            .toList());
  }

  // ---- kits -----------------------------------------------------------------------------------

  private KitChoice choice(ChoiceSetting s, Ranked r, WetEndKits.Offered o) {
    WetKitRow kit = o.kit();
    List<LotRow> usable = o.lots().stream().filter(l -> shelf.status(l).fittable()).toList();
    Optional<LotRow> lot =
        usable.stream()
            .findFirst()
            .or(() -> o.lots().stream().filter(l -> l.quantity() > 0).findFirst());
    int failures = o.known().lives().failures();
    int finished = o.known().finished();
    Optional<Life> life = o.noRotor().isPresent() ? Optional.empty() : r.life();
    Optional<Cost> cost = o.noRotor().isPresent() ? Optional.empty() : r.cost();
    return new KitChoice(
        o.candidate().id().toString(),
        lot.map(LotRow::id),
        lot.map(LotRow::title).orElse(Text.sentence(Text.words(kit.kit()))),
        kit.material(),
        r.whole().parts().stream()
            .map(
                p ->
                    new PartChoice(
                        p.role(),
                        p.rating().material(),
                        p.rating().verdict(),
                        o.candidate().renewed().contains(p.role())))
            .toList(),
        kit.material().equals(s.fittedNow())
            && (kit.hardware().isEmpty() || kit.hardware().equals(s.wetEnd().hardware())),
        o.noRotor().isPresent() ? Rating.Verdict.UNSUITED : r.whole().verdict(),
        o.noRotor().isPresent() ? Roles.ROTOR : r.whole().weakest(),
        o.noRotor().orElse(r.whole().because()),
        cost.map(Cost::per1000h),
        cost.map(Cost::low),
        cost.map(Cost::high),
        life.map(Life::mean),
        life.map(Life::low),
        life.map(Life::high),
        life.map(Life::role).orElse(""),
        cost.flatMap(Cost::changeAt),
        cost.map(Cost::stopsPer1000h),
        kit.price(),
        o.candidate().minutes(),
        o.hardwareNote(),
        o.candidate().hardwarePrice(),
        usable.stream().mapToInt(LotRow::quantity).sum(),
        lot.map(LotRow::place).orElse(""),
        lot.map(shelf::status),
        lot.map(shelf::status).map(LotText::brief).orElse("none on the shelf"),
        kit.leadDays(),
        r.whole().known(),
        o.known().lastFailed(),
        finished == 0
            ? "no history, library value"
            : Text.count(finished, "run")
                + " here, "
                + (failures == 0 ? "no failure" : Text.count(failures, "failure")));
  }

  // ---- what would change the choice -----------------------------------------------------------

  private Function<Duty, ChoiceOutcome> standing(
      ChoiceSetting s, KitRanking ranking, Money money, List<WetEndKits.Offered> offered) {
    if (s.sheet().isPresent() && !offered.isEmpty()) {
      boolean rotors = s.sheet().get().stator().isPresent();
      List<Candidate> fixed = offered.stream().map(WetEndKits.Offered::candidate).toList();
      // Which rotor fits depends on the temperature, so those candidates are made anew each time.
      return rotors
          ? duty -> ranking.standing(duty, WetEndKits.withARotor(s, offered, duty), money)
          : duty -> ranking.standing(duty, fixed, money);
    }
    String lead = s.lead();
    List<Candidate> plain =
        library.materials().inRole(lead).stream()
            .map(
                m -> {
                  Map<String, Material> parts = new LinkedHashMap<>();
                  parts.put(lead, m);
                  s.inPump()
                      .forEach(
                          (role, code) ->
                              library
                                  .materials()
                                  .material(code)
                                  .ifPresent(x -> parts.putIfAbsent(role, x)));
                  return new Candidate(
                      CandidateId.of(m.code()),
                      parts,
                      Set.of(lead),
                      lead,
                      100,
                      0,
                      0,
                      Optional.empty());
                })
            .toList();
    return duty -> ranking.standing(duty, plain, money);
  }

  // ---- words and codes ------------------------------------------------------------------------

  /** The first that a sheet lists, which a pump comes with. */
  private static String usualHardware(Sheet sheet) {
    return sheet.hardware().stream().findFirst().map(Sheet.Hardware::id).orElse("");
  }

  private static String hardware(Sheet sheet, String id) {
    return sheet.hardware().stream()
        .filter(h -> h.id().equals(id))
        .map(Sheet.Hardware::title)
        .findFirst()
        .orElse("");
  }
}
