package isokinon.core.wetend;

import isokinon.core.material.Knowledge;
import isokinon.core.wetend.Rating.LimitedBy;
import isokinon.core.wetend.Rating.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a whole wet end stands in a duty: as its weakest part does.
 *
 * @param verdict the worst of its parts and pairs
 * @param weakest role of the part that decides
 * @param because the sentence that decides
 * @param parts every part
 * @param pairs what its pairs do to each other
 */
public record WholeRating(
    Verdict verdict, String weakest, String because, List<Part> parts, List<PairRule> pairs) {

  /** A part of the wet end in its role. */
  public record Part(String role, Rating rating) {}

  /** What two parts do to each other; told under the role of one. */
  public record PairRule(String role, Verdict verdict, String reason) {}

  /** Rated parts and pairs, summed up. */
  static WholeRating of(List<Part> parts, List<PairRule> pairs) {
    Comparator<Part> worst =
        Comparator.comparing((Part p) -> p.rating().verdict())
            .reversed()
            .thenComparing(p -> p.rating().marginK().orElse(-1e9))
            .thenComparing(p -> p.rating().factor().orElse(0.0));
    List<Part> ordered = new ArrayList<>(parts);
    // What no fluid touches decides only where it is the worst of all.
    ordered.sort(worst.thenComparing(p -> Roles.wetted(p.role()) ? 0 : 1));
    Optional<Part> first =
        ordered.stream()
            .filter(p -> Roles.wetted(p.role()) || p.rating().verdict() != Verdict.SUITED)
            .findFirst();
    Verdict ofParts = first.map(p -> p.rating().verdict()).orElse(Verdict.UNKNOWN);
    Optional<PairRule> pair =
        pairs.stream().filter(p -> p.verdict().compareTo(ofParts) > 0).findFirst();
    return new WholeRating(
        pair.map(PairRule::verdict).orElse(ofParts),
        pair.map(PairRule::role).or(() -> first.map(Part::role)).orElse(""),
        pair.map(PairRule::reason)
            .or(() -> first.flatMap(p -> p.rating().limitedBy()).map(LimitedBy::reason))
            .orElse("Nothing is known of its parts."),
        List.copyOf(parts),
        List.copyOf(pairs));
  }

  /** How well the least known of its wetted parts is known. */
  public Knowledge known() {
    return parts.stream()
        .filter(p -> Roles.wetted(p.role()))
        .map(p -> p.rating().known())
        .reduce(Knowledge::and)
        .orElse(Knowledge.USUAL);
  }

  /** The rating of the part in this role; empty where the wet end has none. */
  public Optional<Rating> of(String role) {
    return parts.stream().filter(p -> p.role().equals(role)).map(Part::rating).findFirst();
  }
}
