package isokinon.server.work.bench;

import isokinon.core.rebuild.BenchEvent;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.wetend.Roles;
import isokinon.server.db.FittedPartRow;
import isokinon.server.db.HistoryMapper;
import isokinon.server.db.KeptPartRow;
import isokinon.server.db.PumpMapper;
import isokinon.server.db.PumpRow;
import isokinon.server.db.RunRow;
import isokinon.server.db.StoresMapper;
import isokinon.server.work.inspection.PartAssessment;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.pumps.PartRuns;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.KeptParts;
import isokinon.server.work.stores.Shelf;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Ends the runs of the parts that a rebuild took out of a pump and begins those of the parts that
 * went in. A part of which nobody knows when it went in ends no run: an age is never guessed.
 */
@Component
class ChangedParts {

  private static final int MOST_CAUSE = 200;

  private final PumpMapper pumps;
  private final HistoryMapper history;
  private final StoresMapper stores;
  private final FittedWetEnds wetEnds;
  private final PartAssessment findings;
  private final Shelf shelf;
  private final KeptParts keptParts;

  ChangedParts(
      PumpMapper pumps,
      HistoryMapper history,
      StoresMapper stores,
      FittedWetEnds wetEnds,
      PartAssessment findings,
      Shelf shelf,
      KeptParts keptParts) {
    this.pumps = pumps;
    this.history = history;
    this.stores = stores;
    this.wetEnds = wetEnds;
    this.findings = findings;
    this.shelf = shelf;
    this.keptParts = keptParts;
  }

  /** Writes down what a rebuild changed, and takes what it used off the shelf. */
  void handedBack(Job job, LocalDate day, String who) {
    Rebuild rebuild = job.rebuild();
    PumpRow pump = job.pump();
    List<String> used =
        rebuild.renewedInAll().stream().flatMap(p -> rebuild.lot(p).stream()).distinct().toList();
    others(job, day);
    Optional<String> material = rebuild.material(pump.role());
    if (material.isPresent()) {
      Optional<KeptPartRow> kept =
          partsOf(rebuild, pump.role()).stream()
              .flatMap(p -> kept(rebuild, p).stream())
              .findFirst();
      pumps.addRun(finishedSet(job, day));
      pumps.refit(
          pump.tag(),
          material.get(),
          day,
          pump.runningHours(),
          pump.strokes(),
          kept.map(KeptPartRow::serial).orElse(""),
          kept.map(KeptPartRow::hours).orElse(0.0),
          kept.map(KeptPartRow::counts).orElse(0.0));
      wetEnds.refit(pump, used.stream().flatMap(l -> stores.lot(l).stream()).toList());
    }
    shelf.use(used, job.row(), who);
  }

  // ---- the wearing set --------------------------------------------------------------------------

  /**
   * The run of the set that came out. It counts as failed only where a part of it was judged so at
   * the bench; a set changed because it was due came out sound.
   */
  private RunRow finishedSet(Job job, LocalDate day) {
    PumpRow pump = job.pump();
    Optional<BenchEvent> found =
        partsOf(job.rebuild(), pump.role()).stream()
            .flatMap(p -> job.rebuild().condemned(p.id()).stream())
            .findFirst();
    return PartRuns.ended(
        pump, pumps.mainFluid(pump.tag()), day, found.isPresent(), cause(job.rebuild(), found), "");
  }

  private static List<Part> partsOf(Rebuild rebuild, String role) {
    return rebuild.sheet().parts().stream()
        .filter(p -> p.role().equals(Optional.of(role)))
        .toList();
  }

  // ---- parts of other roles ---------------------------------------------------------------------

  private void others(Job job, LocalDate day) {
    Rebuild rebuild = job.rebuild();
    List<Part> renewed =
        rebuild.renewedInAll().stream()
            .flatMap(p -> rebuild.sheet().part(p).stream())
            .filter(p -> wears(p) && !p.role().equals(Optional.of(job.pump().role())))
            .toList();
    List<FittedPartRow> fitted = new ArrayList<>(history.fitted(job.pump().tag()));
    for (Part part : renewed) {
      String role = part.role().orElseThrow();
      boolean all = renewed.containsAll(partsOf(rebuild, role));
      List<FittedPartRow> out =
          fitted.stream()
              .filter(f -> f.role().equals(role))
              .filter(f -> f.place().equals(PartRuns.place(part)) || (all && f.place().isEmpty()))
              .toList();
      out.forEach(f -> takeOut(f, part, job, day));
      fitted.removeAll(out);
    }
    // After all came out, or a part that went in would be taken out again as one of its role.
    renewed.forEach(p -> putIn(p, job, day));
  }

  /** Whether a part wears and is looked at; what is changed with every opening has no life. */
  private static boolean wears(Part part) {
    return part.renew() == Part.Renew.INSPECT
        && part.role().filter(r -> !r.equals(Roles.BODY)).isPresent();
  }

  private void takeOut(FittedPartRow f, Part part, Job job, LocalDate day) {
    PumpRow pump = job.pump();
    Optional<BenchEvent> found = job.rebuild().condemned(part.id());
    history.takeOut(pump.tag(), f.role(), f.place());
    pumps.addRun(
        PartRuns.ended(
            f,
            pump,
            pumps.mainFluid(pump.tag()),
            day,
            found.isPresent(),
            cause(job.rebuild(), found)));
  }

  private void putIn(Part part, Job job, LocalDate day) {
    PumpRow pump = job.pump();
    String role = part.role().orElseThrow();
    Optional<KeptPartRow> kept = kept(job.rebuild(), part);
    job.rebuild()
        .material(role)
        .ifPresent(
            material ->
                history.addFitted(
                    new FittedPartRow(
                        pump.tag(),
                        role,
                        PartRuns.place(part),
                        kept.map(KeptPartRow::serial).orElse(""),
                        material,
                        day,
                        pump.runningHours(),
                        kept.map(KeptPartRow::hours).orElse(0.0),
                        pump.strokes(),
                        kept.map(KeptPartRow::counts).orElse(0.0))));
  }

  // ---- what both take ---------------------------------------------------------------------------

  private Optional<KeptPartRow> kept(Rebuild rebuild, Part part) {
    return rebuild.lot(part.id()).flatMap(keptParts::kept);
  }

  /** Why a part came out: the cause where it was said, and what was seen. */
  private String cause(Rebuild rebuild, Optional<BenchEvent> judged) {
    return Text.clipped(
        judged
            .map(
                j ->
                    rebuild
                        .cause(j.act().subject())
                        .map(e -> findings.causeWords(e, j.act().text()))
                        .orElse(j.act().text()))
            .orElse("changed sound"),
        MOST_CAUSE);
  }
}
