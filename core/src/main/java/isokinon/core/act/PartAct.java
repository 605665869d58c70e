package isokinon.core.act;

import isokinon.core.sheet.Part;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What is found of parts, and what goes in for them. */
public sealed interface PartAct extends Act {

  /**
   * A part is measured; it is judged afterwards.
   *
   * @param part id
   * @param measurement what was read of it
   */
  record Measured(String part, Measurement measurement) implements PartAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.measured(this);
    }
  }

  /**
   * A part is judged, with what was read of it and the wear that was seen.
   *
   * @param part id
   * @param verdict sound, watch or renew
   * @param measurements readings kept with the judgement; may be empty
   * @param signs signatures of wear that were seen, ids
   * @param because the reason; may be empty
   */
  record Judged(
      String part,
      Part.Verdict verdict,
      List<Measurement> measurements,
      List<String> signs,
      String because)
      implements PartAct {
    /** Copies its lists. */
    public Judged {
      measurements = List.copyOf(measurements);
      signs = List.copyOf(signs);
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.judged(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * Why a part wore is said.
   *
   * @param part id
   * @param cause cause of the diagnosis tables, id; empty where it is not known
   * @param counters what is done about it, ids of the diagnosis tables
   * @param note may be empty
   */
  record CauseFound(String part, Optional<String> cause, List<String> counters, String note)
      implements PartAct {
    /** Copies its list. */
    public CauseFound {
      counters = List.copyOf(counters);
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.causeFound(this);
    }

    @Override
    public String words() {
      return note;
    }
  }

  /**
   * The material of a role is chosen.
   *
   * @param role role of parts that are renewed
   * @param material ISO code or alloy
   * @param because may be empty
   */
  record MaterialChosen(String role, String material, String because) implements PartAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.materialChosen(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * A lot is booked for parts, and the materials that it brings are chosen with it.
   *
   * @param lot lot id
   * @param parts parts that are renewed from it, ids
   * @param materials material by role, of the roles that the lot decides; may be empty
   * @param note what the inspection of an aged lot showed, or the lot number of single parts; may
   *     be empty
   */
  record KitFitted(String lot, List<String> parts, Map<String, String> materials, String note)
      implements PartAct {
    /** Copies its lists; materials stand in the order of their roles. */
    public KitFitted {
      parts = List.copyOf(parts);
      materials = Collections.unmodifiableMap(new TreeMap<>(materials));
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.kitFitted(this);
    }

    @Override
    public String words() {
      return note;
    }
  }
}
