package isokinon.core.rebuild;

import isokinon.core.material.Meeting;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.OnlyFor;
import isokinon.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What was in the pump when it came to the bench.
 *
 * @param role the part role that wears and is chosen by material, for example diaphragm
 * @param material code of the material fitted in it
 * @param variants how the pump is made where its sheet has variants: ids of their ways, as it was
 *     seen last; a variant that nobody has told yet is the usual one
 * @param rinses what proves that none is left of fluids in it that must not meet, asked at the gate
 */
public record Fitted(
    String role, String material, List<String> variants, List<Sheet.Hazard> rinses) {

  /** Copies its lists. */
  public Fitted {
    variants = List.copyOf(variants);
    rinses = List.copyOf(rinses);
  }

  /** A pump whose fluids may follow each other. */
  public Fitted(String role, String material, List<String> variants) {
    this(role, material, variants, List.of());
  }

  /** A pump made the usual way. */
  public Fitted(String role, String material) {
    this(role, material, List.of());
  }

  /** The same pump, of whose fluids these residues are proved gone before it is opened. */
  public Fitted rinsedOf(List<Meeting.Residue> residues) {
    return new Fitted(role, material, variants, residues.stream().map(Fitted::rinse).toList());
  }

  private static Sheet.Hazard rinse(Meeting.Residue r) {
    return new Sheet.Hazard(
        "rinse-" + r.what().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"),
        Sheet.Energy.FLUID,
        r.seen() ? "The last rinse" : r.what() + " in the rinse",
        "left of what must not meet",
        r.seen() ? "Flush until none of it is left" : "Flush, then test strip or meter",
        r.seen() ? r.what() : r.what() + " of the last rinse",
        r.seen() ? Handling.Answer.CONFIRM : Handling.Answer.NUMBER,
        r.unit(),
        r.min(),
        r.max(),
        "",
        false,
        false,
        OnlyFor.EVERY_JOB);
  }

  /**
   * Hazards with the last rinses behind the last one of the fluid itself; at the end without one.
   */
  static List<Sheet.Hazard> withRinses(List<Sheet.Hazard> met, List<Sheet.Hazard> rinses) {
    int place = met.size();
    for (int i = met.size(); i > 0; i--) {
      if (met.get(i - 1).energy() == Sheet.Energy.FLUID) {
        place = i;
        break;
      }
    }
    List<Sheet.Hazard> all = new ArrayList<>(met);
    all.addAll(place, rinses);
    return all;
  }
}
