package isokinon.server.work.stages;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.consumable.Lubricated;
import isokinon.core.material.Resistance;
import isokinon.core.rebuild.MatchedParts;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rebuild.TorqueRound;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Step;
import isokinon.core.torque.ClampForce;
import isokinon.core.torque.TorqueReading;
import isokinon.core.value.Code;
import isokinon.server.work.consumables.ConsumableStock;
import isokinon.server.work.drawing.Rail.RailPart;
import isokinon.server.work.drawing.Rail.Where;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.instruments.Wrenches;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.NextStep;
import isokinon.server.work.stages.StageView.TrayItem;
import isokinon.server.work.stages.StepView.CheckView;
import isokinon.server.work.stages.StepView.FastenerView;
import isokinon.server.work.stages.StepView.PassView;
import isokinon.server.work.stages.StepView.Piece;
import isokinon.server.work.stages.StepView.PlaceView;
import isokinon.server.work.stages.StepView.Read;
import isokinon.server.work.stages.StepView.TorqueView;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The step in hand: its sentence, what goes with it, what is still missing. */
@Component
class StepViewer {

  private final Wrenches crib;
  private final ShopLibrary library;
  private final FittedWetEnds wetEnds;
  private final ConsumableStock consumables;

  StepViewer(
      Wrenches crib, ShopLibrary library, FittedWetEnds wetEnds, ConsumableStock consumables) {
    this.crib = crib;
    this.library = library;
    this.wetEnds = wetEnds;
    this.consumables = consumables;
  }

  Optional<StepView> current(Job job) {
    return job.rebuild().currentStep().map(id -> view(job, id));
  }

  private StepView view(Job job, String id) {
    Rebuild rebuild = job.rebuild();
    boolean stripping = rebuild.stage() == Stage.STRIP;
    List<String> done = stripping ? rebuild.stripped() : rebuild.built();
    int left = stripping ? rebuild.stripLeft().size() : rebuild.buildLeft().size();
    Handling how = rebuild.sheet().handling(id).orElse(Handling.PLAIN).during(stripping);
    Optional<Step> step = rebuild.sheet().step(id);
    List<Part> parts =
        step.stream()
            .flatMap(s -> s.frees().stream())
            .flatMap(p -> rebuild.sheet().part(p).stream())
            .toList();
    List<PlaceView> places = places(rebuild, id, stripping);
    List<CheckView> checks = rebuild.checks(id).stream().map(c -> check(rebuild, id, c)).toList();
    Optional<TorqueView> torque =
        stripping
            ? Optional.empty()
            : rebuild.torque(id).map(r -> torque(how.fastening().orElseThrow(), r));
    return new StepView(
        id,
        done.size() + 1,
        done.size() + left,
        stripping,
        stripping ? step.map(Step::strip).orElse(id) : rebuild.sheet().stepSentence(id),
        turn(rebuild, how.pose(), stripping),
        Text.words(how.pose()),
        how.tools().stream().map(Text::tool).toList(),
        how.toolInHand().isPresent()
            && !how.toolInHand().equals(toolBefore(rebuild, done, stripping)),
        step.map(s -> stripping ? s.stripMinutes() : s.buildMinutes())
            .or(() -> rebuild.sheet().buildOnlyStep(id).map(BuildOnlyStep::buildMinutes))
            .orElse(0.0),
        stripping ? List.of() : how.apply().stream().map(a -> applied(rebuild, a)).toList(),
        cautions(job, id, how, stripping),
        stripping
            ? List.of()
            : parts.stream().map(Part::facing).filter(f -> !f.isEmpty()).distinct().toList(),
        parts.stream().map(Part::id).toList(),
        checks,
        torque,
        stripping ? "" : how.fastening().map(StepViewer::bySign).orElse(""),
        how.turn().map(t -> new StepView.Rotation(t.clockwise(), t.seenFrom())),
        missing(checks, torque, places),
        PinnedCautions.of(rebuild, how, parts),
        beside(rebuild, id, stripping),
        places,
        String.join("; ", how.power()),
        step.map(Step::learnedJobs).orElse(0));
  }

  /** A joint without a torque: how many, and the sign that it is tight. */
  private static String bySign(Handling.Fastening f) {
    return f.bySign() ? f.count() + " x " + f.thread() + ", " + f.until() : "";
  }

  /** A substance, how much of it, what it goes on, and where it is found. */
  private String applied(Rebuild rebuild, Handling.Apply a) {
    Stream<String> to =
        a.to().stream().map(p -> rebuild.sheet().partName(p).toLowerCase(Locale.ROOT));
    return Text.applied(a, to)
        + consumables.found(a.what()).map(where -> " (" + where + ")").orElse("");
  }

  private List<String> cautions(Job job, String id, Handling how, boolean stripping) {
    Rebuild rebuild = job.rebuild();
    List<String> said = new ArrayList<>();
    if (!stripping) {
      Lubricated lubricated = new Lubricated(rebuild, wetEnds.materials(job.pump()));
      how.apply().stream()
          .flatMap(a -> lubricated.attacks(id, a, library.materials()).stream())
          .map(this::refused)
          .distinct()
          .forEach(said::add);
    }
    rebuild.cautions(id).stream().map(Handling.Caution::say).forEach(said::add);
    return said;
  }

  /** A lubricant is a fluid too: where it attacks what it is put on, another is taken. */
  private String refused(Lubricated.Attack attack) {
    Resistance row = attack.row();
    return library.materials().fluidName(row.fluid())
        + " "
        + row.effect().map(Code::code).orElse("attacks")
        + " "
        + row.material()
        + ": "
        + (attack.on().isEmpty()
            ? "keep it off the " + names(attack.near()) + "."
            : "not on the " + names(attack.on()) + ", take another lubricant.");
  }

  private static String names(List<Part> parts) {
    return parts.stream()
        .map(p -> p.name().toLowerCase(Locale.ROOT))
        .collect(Collectors.joining(", "));
  }

  /** Parts of a press-up, in their order along the axis. */
  private static List<RailPart> beside(Rebuild rebuild, String id, boolean stripping) {
    return stripping
        ? List.of()
        : rebuild.sheet().buildOnlyStep(id).stream()
            .flatMap(b -> b.beside().stream())
            .flatMap(p -> rebuild.sheet().part(p).stream())
            .filter(rebuild::present)
            .map(p -> RailViewer.part(p, rebuild, Where.IN_PLACE))
            .toList();
  }

  private static List<PlaceView> places(Rebuild rebuild, String id, boolean stripping) {
    return stripping
        ? List.of()
        : MatchedParts.toPlace(rebuild, id).stream()
            .map(
                place ->
                    new PlaceView(
                        place,
                        MatchedParts.name(rebuild.sheet(), place),
                        Optional.ofNullable(rebuild.placed().get(place))
                            .map(p -> MatchedParts.name(rebuild.sheet(), p)),
                        MatchedParts.candidates(rebuild, place).stream()
                            .map(p -> new Piece(p, MatchedParts.name(rebuild.sheet(), p)))
                            .toList()))
            .toList();
  }

  private static String missing(
      List<CheckView> checks, Optional<TorqueView> torque, List<PlaceView> places) {
    List<String> missing = new ArrayList<>();
    places.stream()
        .filter(p -> p.placed().isEmpty())
        .findFirst()
        .ifPresent(p -> missing.add(p.name() + " to its place"));
    long open = checks.stream().filter(c -> !c.settled()).count();
    torque.map(TorqueView::missing).filter(m -> !m.isEmpty()).ifPresent(missing::add);
    if (open > 0) {
      missing.add(Text.count(open, "check") + " to answer");
    }
    return String.join(", ", missing);
  }

  private static Optional<String> turn(Rebuild rebuild, String pose, boolean stripping) {
    if (pose.isEmpty()) {
      return Optional.empty();
    }
    String now = rebuild.sheet().startPose();
    List<String> done = new ArrayList<>(rebuild.stripped());
    if (!stripping) {
      done.addAll(rebuild.built());
    }
    for (String id : done) {
      boolean built = rebuild.built().contains(id);
      String was = rebuild.sheet().handling(id).map(h -> h.during(!built).pose()).orElse("");
      now = was.isEmpty() ? now : was;
    }
    return now.equals(pose) ? Optional.empty() : Optional.of("Turn the pump: " + Text.words(pose));
  }

  private static Optional<String> toolBefore(
      Rebuild rebuild, List<String> done, boolean stripping) {
    Optional<String> tool = Optional.empty();
    for (String id : done) {
      tool =
          rebuild
              .sheet()
              .handling(id)
              .flatMap(h -> h.during(stripping).toolInHand())
              .or(lastOf(tool));
    }
    return tool;
  }

  private static java.util.function.Supplier<Optional<String>> lastOf(Optional<String> tool) {
    return () -> tool;
  }

  private static CheckView check(Rebuild rebuild, String step, Handling.Check c) {
    Optional<BenchEvent<StepAct.Checked>> answer = rebuild.answer(step, c.id());
    Optional<Double> value = answer.flatMap(e -> e.act().reading()).map(Reading::value);
    return new CheckView(
        c.id(),
        c.ask(),
        c.kind(),
        c.unit(),
        c.min(),
        c.max(),
        c.hold(),
        c.about(),
        answer.isPresent(),
        rebuild.passed(step, c),
        value,
        answer.map(BenchEvent::who).orElse(""),
        c.pair(),
        answer.map(e -> e.act().note()).orElse(""),
        rebuild.left(step, c.id()).map(e -> e.act().because()).orElse(""),
        c.second(),
        rebuild.seconded(step, c.id()).map(BenchEvent::who).orElse(""),
        rebuild.markReading(c),
        c.within(),
        c.clockSeconds(),
        rebuild.open(step, c).isEmpty());
  }

  private TorqueView torque(Handling.Fastening f, TorqueRound round) {
    List<PassView> passes = new ArrayList<>();
    for (int pass = 1; pass <= round.fullPass(); pass++) {
      int percent = round.percent(pass);
      TorqueReading.Band band = TorqueReading.band(f, percent);
      List<Read> readings = new ArrayList<>();
      round.early(pass).forEach((n, nm) -> readings.add(new Read(n, nm)));
      passes.add(
          new PassView(
              pass,
              percent,
              band.minNm(),
              band.maxNm(),
              round.pass() > pass,
              List.copyOf(readings)));
    }
    List<FastenerView> fasteners =
        round.fasteners().entrySet().stream()
            .sorted(java.util.Map.Entry.comparingByKey())
            .map(
                e ->
                    new FastenerView(
                        e.getKey(),
                        e.getValue().readings(),
                        e.getValue().clicked(),
                        e.getValue().judgement().lie(),
                        e.getValue().judgement().say(),
                        e.getValue().acceptedBecause()))
            .toList();
    Wrenches.WrenchChoice wrench = crib.choose(f.targetNm());
    return new TorqueView(
        f.count(),
        f.layout(),
        f.thread(),
        f.minNm(),
        f.maxNm(),
        f.targetNm(),
        f.threads(),
        f.locker(),
        f.across(),
        f.retorqueHours(),
        round.order().order(),
        round.pass(),
        round.fullPass(),
        round.lastRound(),
        passes,
        fasteners,
        round.nextFastener(),
        round.finished(),
        round.missing(),
        wrench.wrench(),
        wrench.because(),
        ClampForce.kilonewtons(f.targetNm(), f.thread(), f.threads()).orElse(0.0),
        f.source());
  }

  private static final int STEPS_AHEAD = 4;

  static List<NextStep> next(Rebuild rebuild) {
    boolean stripping = rebuild.stage().compareTo(Stage.BUILD) < 0;
    List<String> left = stripping ? rebuild.stripLeft() : rebuild.buildLeft();
    int done = stripping ? rebuild.stripped().size() : rebuild.built().size();
    List<NextStep> next = new ArrayList<>();
    String standing = rebuild.sheet().startPose();
    for (int i = 1; i < left.size() && next.size() < STEPS_AHEAD; i++) {
      String id = left.get(i);
      String before = left.get(i - 1);
      Handling how = rebuild.sheet().handling(id).orElse(Handling.PLAIN).during(stripping);
      Handling was = rebuild.sheet().handling(before).orElse(Handling.PLAIN).during(stripping);
      standing = was.pose().isEmpty() ? standing : was.pose();
      next.add(
          new NextStep(
              done + i + 1,
              id,
              stripping
                  ? rebuild.sheet().step(id).orElseThrow().strip()
                  : rebuild.sheet().stepSentence(id),
              how.fastening()
                  .filter(f -> !stripping && !f.bySign())
                  .map(f -> Text.plain(f.minNm()) + " to " + Text.plain(f.maxNm()) + " N·m")
                  .orElse(""),
              !how.pose().isEmpty() && !how.pose().equals(standing),
              how.toolInHand()
                  .filter(t -> !Optional.of(t).equals(was.toolInHand()))
                  .map(Text::tool)));
    }
    return next;
  }

  static List<TrayItem> tray(Rebuild rebuild) {
    return items(rebuild, rebuild.off());
  }

  /** Parts undone that still hang on a shaft or rod. */
  static List<TrayItem> aside(Rebuild rebuild) {
    return items(rebuild, rebuild.aside());
  }

  private static List<TrayItem> items(Rebuild rebuild, Set<String> parts) {
    return parts.stream()
        .flatMap(id -> rebuild.sheet().part(id).stream())
        .filter(rebuild::present)
        .map(
            p -> {
              RailViewer.Known known = RailViewer.known(p, rebuild);
              return new TrayItem(
                  p.id(),
                  p.name(),
                  p.glyph(),
                  p.count(),
                  p.place().map(Part.Place::side).orElse(""),
                  p.matched(),
                  p.care().stream().sorted().toList(),
                  known.state(),
                  known.word());
            })
        .toList();
  }
}
