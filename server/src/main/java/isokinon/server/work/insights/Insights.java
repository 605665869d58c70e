package isokinon.server.work.insights;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.frailty.Marginal;
import isokinon.core.value.Code;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.findings.CauseRow;
import isokinon.server.db.findings.FindingMapper;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.life.LifePage;
import isokinon.server.work.life.LifeText;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.shared.Cached;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.StateMark;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.Stores;
import isokinon.server.work.wetends.CheaperKit;
import isokinon.server.work.wetends.Offers;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the shop's own records say without being asked: a habit that costs, a material that gives
 * out sooner than another, a pump that age says nothing of, a duty that would stand a cheaper kit,
 * a lot past its date.
 */
@Service
public class Insights {

  private static final double YEAR = 365.25;

  /** What is to be done now stands first. */
  private static final List<StateMark> FIRST =
      List.of(StateMark.RENEW, StateMark.WATCH, StateMark.SOUND);

  /** What a duty's offer comes from; hours that merely run on change nothing of it. */
  private static final Set<Topic> OFFERED_BY =
      EnumSet.of(
          Topic.PUMPS,
          Topic.DUTIES,
          Topic.FITTED,
          Topic.RUNS,
          Topic.MATERIALS,
          Topic.CATALOGUE,
          Topic.SHELF);

  /** What a find is about. */
  public enum Kind implements Code {
    HABIT,
    MATERIAL,
    NO_AGE,
    MILDER,
    OVER_AGE
  }

  /**
   * A find.
   *
   * @param kind habit, material, no-age, milder or over-age
   * @param state renew where something is to be done now, watch where it is to be thought over,
   *     sound where it has been done
   * @param say what was found
   * @param because from what
   * @param aYear what it is worth a year, pounds; empty where nobody can tell
   * @param pump the pump it is about, or empty
   * @param role the part it is about with material and duty, or empty
   * @param lot the lot it is about, or empty
   */
  public record InsightView(
      Kind kind,
      StateMark state,
      String say,
      String because,
      Optional<Double> aYear,
      String pump,
      String role,
      String material,
      String duty,
      String lot) {}

  /** Under so many failures of a pump nobody says that age tells nothing of it (shop rule). */
  private static final int TELLING = 5;

  private final LifePage place;
  private final FindWords words;
  private final Offers offers;
  private final Stores stores;
  private final FindingMapper findings;
  private final ShopDiagnosis diagnosis;
  private final ShopSettings settings;
  private final Cached<List<InsightView>> found;
  private final Cached<List<InsightView>> sooner;
  private final Cached<List<InsightView>> offered;

  Insights(
      LifeService lives,
      LifePage place,
      Forecasts forecasts,
      Offers offers,
      Stores stores,
      FindingMapper findings,
      ShopDiagnosis diagnosis,
      ShopSettings settings,
      DataVersions versions,
      Clock clock) {
    this.settings = settings;
    this.place = place;
    this.words = new FindWords(forecasts);
    SoonerMaterials soonerThan = new SoonerMaterials(words);
    this.offers = offers;
    this.stores = stores;
    this.findings = findings;
    this.diagnosis = diagnosis;
    this.found =
        Cached.by(
            lives::now,
            versions,
            EnumSet.of(Topic.FINDINGS, Topic.SHOP),
            () -> inLives(lives.now()));
    // Which material gives out sooner is told by the runs alone, whatever shape somebody chose.
    this.sooner =
        Cached.by(
            () -> lives.now().groups(),
            versions,
            EnumSet.noneOf(Topic.class),
            () -> soonerThan.among(lives.now().groups()).toList());
    this.offered =
        Cached.by(
            () -> LocalDate.now(clock), versions, OFFERED_BY, () -> milder(lives.now()).toList());
  }

  /** Everything found, what is to be done now first, then what is worth most. */
  @Transactional(readOnly = true)
  public List<InsightView> all() {
    return Stream.of(found.get().stream(), sooner.get().stream(), offered.get().stream(), overAge())
        .flatMap(Function.identity())
        .sorted(
            Comparator.comparing((InsightView f) -> FIRST.indexOf(f.state()))
                .thenComparing(f -> -f.aYear().orElse(0.0)))
        .toList();
  }

  private List<InsightView> inLives(LifeSnapshot shop) {
    return Stream.of(habits(shop), noAge(shop)).flatMap(Function.identity()).toList();
  }

  // ---- a habit that costs -----------------------------------------------------------------------

  private Stream<InsightView> habits(LifeSnapshot shop) {
    return shop.groups().all(Level.DUTY).stream()
        .flatMap(g -> place.habit(g, shop).stream().flatMap(h -> habit(g, h).stream()));
  }

  private Optional<InsightView> habit(Group g, LifePage.Habit h) {
    if (h.over() < settings.rules().worthAYear()) {
      return Optional.empty();
    }
    String better =
        switch (h.best().way()) {
          case FIXED -> "at " + LifeText.h(h.bestHours());
          case UNTIL_IT_FAILS -> "only when they fail";
          case LOOK -> "on sight of wear, looked at every " + LifeText.h(h.bestHours());
        };
    return Optional.of(
        FindWords.about(
            Kind.HABIT,
            StateMark.WATCH,
            words.parts(g)
                + " are renewed at about "
                + LifeText.h(h.today())
                + ", best "
                + better
                + ".",
            Text.count(g.runs().size(), "run")
                + ", "
                + Text.count(g.failures(), "failure")
                + String.format(
                    Locale.ROOT,
                    ": %.1f failures a year as it is done today, %.1f then.",
                    h.failuresToday(),
                    h.failuresBest()),
            Optional.of(h.over()),
            g.of()));
  }

  // ---- a pump that age says nothing of ----------------------------------------------------------

  private Stream<InsightView> noAge(LifeSnapshot shop) {
    return shop.all().stream().flatMap(s -> noAge(shop, s).stream());
  }

  private Optional<InsightView> noAge(LifeSnapshot shop, PumpInService s) {
    Group own = shop.groups().at(Level.PUMP, s.of());
    if (own.failures() < TELLING || !maySaySo(own, s.prior().shape())) {
      return Optional.empty();
    }
    LifeEstimate e = shop.life(s, own).estimate();
    Marginal shape = e.shape();
    if (shape.high() >= s.prior().shape() || shape.low() >= 1) {
      return Optional.empty();
    }
    String tag = s.pump().tag();
    return Optional.of(
        new InsightView(
            Kind.NO_AGE,
            StateMark.WATCH,
            tag + " fails at any age: no interval helps, something else does it.",
            FindWords.failed(own)
                + ", shape "
                + String.format(
                    Locale.ROOT, "%.1f (%.1f to %.1f)", shape.median(), shape.low(), shape.high())
                + " where "
                + String.format(Locale.ROOT, "%.1f", s.prior().shape())
                + " is usual."
                + causes(tag),
            Optional.empty(),
            tag,
            "",
            "",
            "",
            ""));
  }

  /**
   * The likelihood is quickly asked: where it says that these wear out as usual, nobody need ask
   * on.
   */
  private static boolean maySaySo(Group own, double usual) {
    return WeibullFit.tried(own.ages(false)).filter(f -> f.shape() < usual).isPresent();
  }

  /** What was found to be behind it, as far as anyone said. */
  private String causes(String tag) {
    return findings.causes(tag).stream()
        .collect(Collectors.groupingBy(CauseRow::cause, Collectors.counting()))
        .entrySet()
        .stream()
        .max(Map.Entry.comparingByValue())
        .map(
            c ->
                " Found there: "
                    + diagnosis
                        .library()
                        .cause(c.getKey())
                        .map(x -> Text.inSentence(x.title()))
                        .orElse(c.getKey())
                    + ", "
                    + (c.getValue() == 1 ? "once" : c.getValue() + " times")
                    + ".")
        .orElse(" Nobody said yet what.");
  }

  // ---- a duty that stands a cheaper kit ---------------------------------------------------------

  private Stream<InsightView> milder(LifeSnapshot shop) {
    return shop.all().stream()
        .filter(s -> s.pump().sheet().isPresent())
        .flatMap(
            s -> {
              String tag = s.pump().tag();
              return offer(tag).stream()
                  .map(
                      o ->
                          new InsightView(
                              Kind.MILDER,
                              StateMark.WATCH,
                              tag + " could come down from " + o.from() + " to " + o.to() + ".",
                              o.say() + " " + o.to() + " in it: " + o.evidence() + ".",
                              Optional.of(o.savedPer1000h() / 1000 * s.usage().perDay() * YEAR),
                              tag,
                              "",
                              "",
                              "",
                              ""));
            });
  }

  private Optional<CheaperKit> offer(String tag) {
    try {
      return offers.of(tag);
    } catch (RequestProblem e) {
      return Optional.empty(); // a duty that was never written down right offers nothing
    }
  }

  // ---- a lot past its date ----------------------------------------------------------------------

  private Stream<InsightView> overAge() {
    return stores.overAge().stream()
        .map(
            o ->
                new InsightView(
                    Kind.OVER_AGE,
                    StateMark.RENEW,
                    o.lot() + ", " + o.title() + ", is " + o.say() + ".",
                    o.doThis(),
                    Optional.empty(),
                    "",
                    "",
                    "",
                    "",
                    o.lot()));
  }
}
