package isokinon.core.photograph;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.Step;
import isokinon.core.value.Code;
import java.util.Optional;

/** What a photograph is of. */
public enum PhotographOf implements Code {
  /** A part off the tray or in its place. */
  PART,
  /** A step of the strip or the build: a mark, the way something lies. */
  STEP,
  /** An energy that was cut: the lock on its valve, the gauge at nothing. */
  ENERGY,
  /** The pump as a whole. */
  PUMP;

  /**
   * What the subject with this id is called on a sheet; empty where the sheet has none.
   *
   * @param subject id of the part, step or energy; empty for the pump
   */
  public Optional<String> title(Sheet sheet, String subject) {
    return switch (this) {
      case PART -> sheet.part(subject).map(Part::name);
      case STEP ->
          sheet.handling(subject).isPresent()
              ? Optional.of(
                  sheet.step(subject).map(Step::strip).orElse(sheet.stepSentence(subject)))
              : Optional.empty();
      case ENERGY -> sheet.hazard(subject).map(Sheet.Hazard::title);
      case PUMP -> subject.isEmpty() ? Optional.of(sheet.title()) : Optional.empty();
    };
  }
}
