package isokinon.core.wetend;

import java.util.Optional;
import java.util.Set;

/**
 * Where a choice stands in a duty.
 *
 * @param leader the cheapest that fits; empty where none does
 * @param fit all that fit
 * @param unknown all that the library cannot judge
 */
public record ChoiceOutcome(
    Optional<CandidateId> leader, Set<CandidateId> fit, Set<CandidateId> unknown) {}
