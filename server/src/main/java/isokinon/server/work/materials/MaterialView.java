package isokinon.server.work.materials;

import isokinon.core.material.Effect;
import isokinon.core.material.Knowledge;
import isokinon.core.material.MaterialKind;
import isokinon.core.stock.ShelfLife;
import isokinon.core.wetend.PairEvidence.Kind;
import isokinon.server.work.library.Meetings.ApartView;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;

/** What the pages of materials and fluids show. */
public final class MaterialView {

  private MaterialView() {}

  /** A fluid on the list, and how many materials have a row for it. */
  public record FluidLine(
      String code, String name, List<String> aliases, Optional<Double> flashC, long materials) {}

  /** A material on the list. */
  public record MaterialLine(
      String code,
      String name,
      MaterialKind kind,
      List<String> roles,
      double minC,
      double maxC,
      Optional<Double> shoreA,
      ShelfLife.Group shelf,
      boolean foodGrade) {}

  /** Fluids and materials of the library, and how many rows are the shop's own. */
  public record LibraryView(
      List<FluidLine> fluids, List<MaterialLine> materials, long rows, long ownRows) {}

  /**
   * A row of resistance.
   *
   * @param effect what the attack looks like; empty where none is known
   * @param known how well it is known
   * @param ownRow number of the shop's own row; empty where the row is a shipped one
   * @param under whether an own row stands over all of its band
   * @param doubts of an own row, why it should be looked at again, each the end of a sentence
   */
  public record ResistanceLine(
      double fromPct,
      double toPct,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Effect> effect,
      String basis,
      String source,
      String date,
      String note,
      Knowledge known,
      Optional<Long> ownRow,
      boolean under,
      List<String> doubts) {}

  /** A material in a fluid; no rows is unknown. */
  public record PairLine(String material, String name, List<ResistanceLine> rows) {}

  /**
   * A material with every fluid of the library.
   *
   * @param minC lowest service temperature, degC
   * @param maxC highest service temperature, degC
   * @param fluids fluids it has rows for; each stands as a pair of its own name
   */
  public record MaterialSheet(
      String material, String name, double minC, double maxC, List<PairLine> fluids) {}

  /** A fluid with every material of the library. */
  public record FluidSheet(
      String code,
      String name,
      List<String> aliases,
      List<String> hurts,
      List<String> wear,
      String spilt,
      Optional<Double> flashC,
      Optional<Double> densityKgM3,
      List<CeilingLine> ceilings,
      List<ApartView> apart,
      List<PairLine> pairs) {}

  /**
   * A temperature the fluid itself does not go beyond.
   *
   * @param say what it does above, in a sentence
   */
  public record CeilingLine(double fromPct, double toPct, double maxC, String say) {}

  /**
   * Something seen here of a material in a fluid.
   *
   * @param from where it comes from: a job, a run, or typed
   */
  public record SeenLine(
      Kind kind,
      double reading,
      double temperatureC,
      double concentrationPct,
      String pump,
      String day,
      String who,
      String note,
      String from) {}

  /** Runs of a pump in this material and fluid. */
  public record RunsLine(String pump, List<Boolean> failed, double longestHours) {}

  /**
   * A change of the shop's own rows.
   *
   * @param id number of the row, by which it is ended
   */
  public record Change(
      long id,
      String table,
      String key,
      String line,
      String writtenBy,
      String writtenOn,
      Optional<String> endedBy,
      Optional<String> endedOn) {}

  /** An own row as it might be written. */
  public record OwnResistance(
      String fluid,
      String material,
      double fromPct,
      double toPct,
      Optional<Double> fullC,
      Optional<Double> limitedC,
      Optional<Effect> effect,
      String note) {}

  /** What was seen and the library disagree, and a row that agrees with both. */
  public record ContradictionView(String sentence, OwnResistance suggestion) {}

  /**
   * A material in a fluid: rows, what was seen here, where the two disagree, what was changed.
   *
   * @param why what attacks what, and up to where it goes, in one sentence; empty where no row is
   * @param ages whether its life is halved for each 10 K; a metal gives out at a threshold instead
   * @param ceilings temperatures the fluid itself does not go beyond
   * @param apart with what the fluid must not meet
   * @param effects what an own row may say that the fluid does
   */
  public record PairView(
      String fluid,
      String fluidName,
      String material,
      String materialName,
      String why,
      boolean ages,
      List<CeilingLine> ceilings,
      List<ApartView> apart,
      List<ResistanceLine> rows,
      List<SeenLine> seen,
      List<RunsLine> runs,
      List<ContradictionView> contradictions,
      List<Change> history,
      List<Effect> effects) {}

  /** Something seen, as it is typed. */
  public record FindingRequest(
      String fluid,
      String material,
      Double concentrationPct,
      Double temperatureC,
      Kind kind,
      Double reading,
      String pump,
      @Size(max = 2000) String note) {}

  /** What an import did, or would do. */
  public record ImportReport(
      String table, int added, int replaced, int unchanged, boolean stored) {}
}
