package isokinon.server.work.stages;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.PartAct;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.server.work.drawing.RailViewer;
import isokinon.server.work.library.ShopDiagnosis;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.InspectItem;
import isokinon.server.work.stages.StageView.LimitView;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Parts to judge: what to look for, what was read, how each was judged. */
@Component
class InspectViewer {

  private final ShopDiagnosis diagnosis;

  InspectViewer(ShopDiagnosis diagnosis) {
    this.diagnosis = diagnosis;
  }

  List<InspectItem> of(Rebuild rebuild) {
    Map<String, String> because =
        rebuild.renewals().stream()
            .collect(Collectors.toMap(Plan.Renewal::part, Plan.Renewal::because));
    List<String> freed = rebuild.plan().map(Plan::freed).orElse(List.of());
    List<String> toJudge = rebuild.toInspect();
    return rebuild.sheet().parts().stream()
        .filter(p -> freed.contains(p.id()) || rebuild.verdict(p.id()).isPresent())
        .filter(p -> p.renew() != Part.Renew.KEEP && rebuild.present(p))
        .map(
            p ->
                new InspectItem(
                    p.id(),
                    p.name(),
                    p.glyph(),
                    p.count(),
                    p.look(),
                    p.limits().stream()
                        .map(
                            l ->
                                new LimitView(
                                    l.measure(),
                                    Text.sentence(Text.words(l.measure())),
                                    l.unit(),
                                    l.edge().watch(),
                                    l.edge().renew(),
                                    l.above(),
                                    l.source()))
                        .toList(),
                    rebuild.off().contains(p.id()),
                    RailViewer.known(p, rebuild).state(),
                    !toJudge.contains(p.id()),
                    because.getOrDefault(p.id(), ""),
                    measured(rebuild, p),
                    rebuild.judgement(p.id()).map(e -> e.act().signs()).orElse(List.of()),
                    rebuild.cause(p.id()).map(this::causeTitle).orElse("")))
        .toList();
  }

  private String causeTitle(BenchEvent<PartAct.CauseFound> e) {
    return e.act()
        .cause()
        .flatMap(diagnosis.library()::cause)
        .map(DiagnosisLibrary.Cause::title)
        .orElse("Not known");
  }

  /** Everything read of a part and what was said of it. */
  static String measured(Rebuild rebuild, Part part) {
    String readings =
        rebuild.readings(part.id()).values().stream()
            .map(r -> ActDescriptions.measurement(r.measurement()))
            .collect(Collectors.joining(", "));
    String said = rebuild.judgement(part.id()).map(e -> e.act().because()).orElse("");
    return readings + (readings.isEmpty() || said.isEmpty() ? "" : ", ") + said;
  }
}
