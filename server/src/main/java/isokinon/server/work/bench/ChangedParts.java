package isokinon.server.work.bench;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.PartAct;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.wetend.Roles;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.stores.KeptPartRow;
import isokinon.server.db.stores.StoresMapper;
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

  /** Cause of a run that ended because the pump gave out, where nobody looked at what came out. */
  private static final String GAVE_OUT = "failed, not looked at";

  private final PumpMapper pumps;
  private final StoresMapper stores;
  private final FittedWetEnds wetEnds;
  private final PartAssessment findings;
  private final Shelf shelf;
  private final KeptParts keptParts;

  ChangedParts(
      PumpMapper pumps,
      StoresMapper stores,
      FittedWetEnds wetEnds,
      PartAssessment findings,
      Shelf shelf,
      KeptParts keptParts) {
    this.pumps = pumps;
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
    List<Part> set = partsOf(rebuild, pump.role());
    rebuild
        .material(pump.role())
        .ifPresent(
            material -> {
              takeOut(pump.set(), found(rebuild, set), gaveOut(rebuild, set), job, day);
              putIn(set, "", material, job, day);
              wetEnds.refit(pump, used.stream().flatMap(l -> stores.lot(l).stream()).toList());
            });
    shelf.use(used, job.row(), who);
  }

  private static List<Part> partsOf(Rebuild rebuild, String role) {
    return rebuild.sheet().parts().stream()
        .filter(p -> p.role().equals(Optional.of(role)))
        .toList();
  }

  private void others(Job job, LocalDate day) {
    Rebuild rebuild = job.rebuild();
    List<Part> renewed =
        rebuild.renewedInAll().stream()
            .flatMap(p -> rebuild.sheet().part(p).stream())
            .filter(p -> wears(p) && !p.role().equals(Optional.of(job.pump().role())))
            .toList();
    List<FittedPartRow> fitted = new ArrayList<>(pumps.fitted(job.pump().tag()));
    for (Part part : renewed) {
      String role = part.role().orElseThrow();
      boolean all = renewed.containsAll(partsOf(rebuild, role));
      List<FittedPartRow> out =
          fitted.stream()
              .filter(f -> f.role().equals(role))
              .filter(f -> f.place().equals(PartRuns.place(part)) || (all && f.place().isEmpty()))
              .toList();
      out.forEach(f -> takeOut(f, found(rebuild, List.of(part)), false, job, day));
      fitted.removeAll(out);
    }
    // After all came out, or a part that went in would be taken out again as one of its role.
    for (Part part : renewed) {
      rebuild
          .material(part.role().orElseThrow())
          .ifPresent(m -> putIn(List.of(part), PartRuns.place(part), m, job, day));
    }
  }

  /** Whether a part wears and is looked at; what is changed with every opening has no life. */
  private static boolean wears(Part part) {
    return part.renew() == Part.Renew.INSPECT
        && part.role().filter(r -> !r.equals(Roles.BODY)).isPresent();
  }

  /** The judgement by which one of these parts was found bad. */
  private static Optional<PartAct.Judged> found(Rebuild rebuild, List<Part> parts) {
    return parts.stream()
        .flatMap(p -> rebuild.condemned(p.id()).stream())
        .map(BenchEvent::act)
        .findFirst();
  }

  /**
   * Whether the wearing set had failed although nobody judged it at the bench: the pump came in
   * because it gave out, and its set was changed unseen.
   */
  private static boolean gaveOut(Rebuild rebuild, List<Part> set) {
    return rebuild.cameIn().filter(why -> why == CameIn.FAILED).isPresent()
        && set.stream().noneMatch(p -> rebuild.verdict(p.id()).isPresent());
  }

  /**
   * Ends the run of what came out. It counts as failed where a part of it was judged so at the
   * bench, or where it gave out and nobody judged it; what was changed because it was due came out
   * sound.
   */
  private void takeOut(
      FittedPartRow f, Optional<PartAct.Judged> found, boolean gaveOut, Job job, LocalDate day) {
    PumpRow pump = job.pump();
    pumps.takeOut(pump.tag(), f.role(), f.place());
    pumps.addRun(
        PartRuns.ended(
            f,
            pump,
            pumps.mainFluid(pump.tag()),
            day,
            found.isPresent() || gaveOut,
            gaveOut ? GAVE_OUT : cause(job.rebuild(), found),
            ""));
  }

  /** Begins the run of what went in: new, or kept before with an age on it. */
  private void putIn(List<Part> parts, String place, String material, Job job, LocalDate day) {
    PumpRow pump = job.pump();
    String role = parts.get(0).role().orElseThrow();
    Optional<KeptPartRow> kept = parts.stream().flatMap(p -> kept(job, p).stream()).findFirst();
    pumps.refit(
        new FittedPartRow(
            pump.tag(),
            role,
            place,
            kept.map(KeptPartRow::serial).orElse(""),
            material,
            day,
            pump.runningHours(),
            kept.map(KeptPartRow::hours).orElse(0.0),
            pump.strokes(),
            kept.map(KeptPartRow::counts).orElse(0.0),
            role.equals(pump.role())));
  }

  private Optional<KeptPartRow> kept(Job job, Part part) {
    return job.rebuild().lot(part.id()).flatMap(lot -> keptParts.keptFor(job.pump().tag(), lot));
  }

  /** Why a part came out: the cause where it was said, and what was seen. */
  private String cause(Rebuild rebuild, Optional<PartAct.Judged> judged) {
    return Text.clipped(
        judged
            .map(
                j ->
                    rebuild
                        .cause(j.part())
                        .map(e -> findings.causeWords(e.act(), j.because()))
                        .orElse(j.because()))
            .orElse("changed sound"),
        MOST_CAUSE);
  }
}
