package isokinon.server.work.stages;

import isokinon.core.act.GateAnswer;
import isokinon.core.act.Reading;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.server.db.pumps.ExposureRow;
import isokinon.server.db.pumps.PumpEnergyRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.library.Meetings;
import isokinon.server.work.library.Meetings.MeetingsView;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.FluidView;
import isokinon.server.work.stages.StageView.Gate;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The gate: every energy of the sheet, and the confirmations every gate has. */
@Component
class MakeSafeViewer {

  private final PumpMapper pumps;
  private final ShopLibrary library;
  private final Meetings meetings;
  private final Clock clock;

  MakeSafeViewer(PumpMapper pumps, ShopLibrary library, Meetings meetings, Clock clock) {
    this.pumps = pumps;
    this.library = library;
    this.meetings = meetings;
    this.clock = clock;
  }

  /** The fluids a pump saw, and how to dress for them. */
  List<FluidView> fluids(PumpRow pump) {
    return pumps.exposures(pump.tag()).stream().flatMap(e -> fluid(e).stream()).toList();
  }

  /** Which of its fluids must not meet in it. */
  MeetingsView meetings(PumpRow pump) {
    return meetings.ofPump(pumps.exposures(pump.tag()));
  }

  List<Gate> gates(PumpRow pump, Rebuild rebuild) {
    List<Gate> gates = new ArrayList<>();
    Map<String, String> here =
        pumps.energies(pump.tag()).stream()
            .collect(Collectors.toMap(PumpEnergyRow::hazard, PumpEnergyRow::place));
    for (Sheet.Hazard h : rebuild.hazards()) {
      Optional<GateAnswer> answer = rebuild.gate(h.id());
      gates.add(
          new Gate(
              h.id(),
              Optional.of(h.energy()),
              h.title(),
              h.where(),
              Optional.ofNullable(here.get(h.id())),
              h.act(),
              h.ask(),
              h.kind(),
              h.unit(),
              h.min(),
              h.max(),
              h.orConfirm(),
              h.licensed(),
              h.electrical(),
              false,
              answer.isPresent(),
              answer.flatMap(GateAnswer::reading).map(Reading::value),
              answer.map(GateAnswer::who).orElse(""),
              answer.map(e -> time(e.at())).orElse("")));
    }
    Rebuild.CONFIRMATIONS.forEach(
        (id, ask) -> {
          Optional<GateAnswer> answer = rebuild.gate(id);
          gates.add(
              new Gate(
                  id,
                  Optional.empty(),
                  Text.sentence(id),
                  "",
                  Optional.empty(),
                  "",
                  ask,
                  Handling.Answer.CONFIRM,
                  "",
                  Optional.empty(),
                  Optional.empty(),
                  "",
                  false,
                  false,
                  true,
                  answer.isPresent(),
                  Optional.empty(),
                  answer.map(GateAnswer::who).orElse(""),
                  answer.map(e -> time(e.at())).orElse("")));
        });
    return gates;
  }

  private Optional<FluidView> fluid(ExposureRow e) {
    return library
        .materials()
        .fluid(e.fluid())
        .map(
            f ->
                new FluidView(
                    f.name(),
                    e.concentrationPct(),
                    e.temperatureC(),
                    f.hurts(),
                    f.wear(),
                    f.spilt()));
  }

  private String time(Instant at) {
    return Text.time(at.atZone(clock.getZone()));
  }
}
