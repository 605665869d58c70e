package isokinon.core.rebuild;

import java.util.List;

/**
 * What was in the pump when it came to the bench.
 *
 * @param role the part role that wears and is chosen by material, for example diaphragm
 * @param material code of the material fitted in it
 * @param variants how the pump is made where its sheet has variants: ids of their ways, as it was
 *     seen last; a variant that nobody has told yet is the usual one
 */
public record Fitted(String role, String material, List<String> variants) {

  /** Copies its list. */
  public Fitted {
    variants = List.copyOf(variants);
  }

  /** A pump made the usual way. */
  public Fitted(String role, String material) {
    this(role, material, List.of());
  }
}
