package isokinon.server.work.drawing;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Stage;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.drawing.Rail.PartState;
import isokinon.server.work.drawing.Rail.RailLine;
import isokinon.server.work.drawing.Rail.RailPart;
import isokinon.server.work.drawing.Rail.Where;
import isokinon.server.work.shared.StateMark;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The stack drawing as data: which part stands where, on the pump, in the hand or on the tray. */
public final class RailViewer {

  private static final Part.Place NOWHERE = new Part.Place("", 0, "", "", Part.Toward.IN, 0);

  private RailViewer() {}

  /** What is known of a part: its state shape, a word and a second word. */
  public record Known(StateMark state, String word, String subWord) {}

  /** A pump as it stands whole, with nothing off it. */
  public static List<Rail> whole(Sheet sheet, PumpRow pump) {
    Fitted fitted = new Fitted(pump.role(), pump.material(), pump.madeBy());
    return rails(Rebuild.replay(sheet, fitted, List.of()));
  }

  public static List<Rail> rails(Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    Set<String> inHand = inHand(rebuild);
    Set<String> off = rebuild.off();
    List<Rail> rails = new ArrayList<>();
    for (String rail : sheet.lines().stream().map(Sheet.Line::rail).distinct().toList()) {
      List<Sheet.Line> lines = sheet.lines().stream().filter(l -> l.rail().equals(rail)).toList();
      Set<String> ids = new HashSet<>();
      lines.forEach(l -> ids.add(l.id()));
      List<String> freed = rebuild.plan().map(Plan::freed).orElse(List.of());
      boolean inPlan =
          sheet.parts().stream()
              .filter(p -> p.place().map(pl -> ids.contains(pl.line())).orElse(false))
              .anyMatch(p -> freed.contains(p.id()));
      rails.add(
          new Rail(
              rail,
              lines.get(0).title(),
              inPlan,
              lines.stream()
                  .map(
                      l ->
                          new RailLine(
                              l.id(),
                              l.axes(),
                              l.note(),
                              l.mirrored(),
                              l.view(),
                              parts(rebuild, l, inHand, off)))
                  .toList()));
    }
    return rails;
  }

  /** Number of the event that the drawing was last made at; 0 where none has changed it. */
  public static long madeAt(Rebuild rebuild) {
    return rebuild.events().stream()
        .filter(
            e ->
                e.act() instanceof JobAct.TakenIn
                    || e.act() instanceof JobAct.WayChosen
                    || e.act() instanceof PartAct.MaterialChosen
                    || e.act() instanceof PartAct.KitFitted
                    || e.act() instanceof ProofAct.SentBack)
        .mapToLong(BenchEvent::seq)
        .max()
        .orElse(0);
  }

  /** How every part of the drawing stands now. */
  public static List<PartState> states(Rebuild rebuild) {
    return rails(rebuild).stream()
        .flatMap(r -> r.lines().stream())
        .flatMap(l -> l.parts().stream())
        .map(p -> new PartState(p.id(), p.where(), p.state(), p.word(), p.subWord(), p.reached()))
        .toList();
  }

  private static List<RailPart> parts(
      Rebuild rebuild, Sheet.Line line, Set<String> inHand, Set<String> off) {
    Set<String> aside = rebuild.aside();
    return rebuild.sheet().parts().stream()
        .filter(p -> p.place().map(pl -> pl.line().equals(line.id())).orElse(false))
        .filter(rebuild::present)
        .sorted(Comparator.comparingDouble(p -> p.place().orElseThrow().at()))
        .map(
            p -> {
              Where where =
                  inHand.contains(p.id())
                      ? Where.IN_HAND
                      : off.contains(p.id())
                          ? Where.OFF
                          : aside.contains(p.id()) ? Where.ASIDE : Where.IN_PLACE;
              return part(p, rebuild, where);
            })
        .toList();
  }

  /** One part as it is drawn, standing {@code where}. */
  public static RailPart part(Part p, Rebuild rebuild, Where where) {
    Part.Place place = p.place().orElse(NOWHERE);
    Known known = known(p, rebuild);
    return new RailPart(
        p.id(),
        p.name(),
        p.glyph(),
        place.at(),
        place.side(),
        p.count(),
        p.facing(),
        place.faces(),
        place.toward(),
        place.angle(),
        p.care().stream().sorted().toList(),
        where,
        known.state(),
        known.word(),
        known.subWord(),
        rebuild.comesOff(p.id()));
  }

  private static Set<String> inHand(Rebuild rebuild) {
    return rebuild.currentStep().flatMap(rebuild.sheet()::step).stream()
        .flatMap(s -> s.opens().stream())
        .collect(Collectors.toSet());
  }

  public static Known known(Part part, Rebuild rebuild) {
    boolean building = rebuild.stage().compareTo(Stage.BUILD) >= 0;
    Optional<Part.Verdict> verdict = rebuild.verdict(part.id());
    if (rebuild.renewing().contains(part.id())) {
      String material = part.role().flatMap(rebuild::material).orElse("");
      String lot = rebuild.lot(part.id()).orElse("");
      return building
          ? new Known(
              StateMark.RENEWED, ("new " + material).strip(), lot.isEmpty() ? "" : "lot " + lot)
          : new Known(StateMark.RENEW, "renew", verdict.isPresent() ? "by finding" : "");
    }
    if (verdict.isPresent()) {
      String said = rebuild.judgement(part.id()).map(e -> e.act().because()).orElse("");
      return switch (verdict.get()) {
        case SOUND -> new Known(StateMark.SOUND, building ? "kept" : "sound", "");
        case WATCH -> new Known(StateMark.WATCH, building ? "kept" : "watch", said);
        case RENEW -> new Known(StateMark.RENEW, "renew", said);
      };
    }
    return new Known(
        StateMark.UNKNOWN, rebuild.comesOff(part.id()) ? "to look at" : "left shut", "");
  }
}
