package isokinon.core.act;

/**
 * Something a person did at the bench. Each kind of act is a record with what belongs to it, and
 * nothing else; who did it and when stands in its {@link BenchEvent}. Whatever must know every kind
 * is an {@link ActVisitor}: a new kind does not compile until all of them know it.
 */
public sealed interface Act permits JobAct, StepAct, PartAct, ProofAct {

  /** Calls the method of this kind. */
  <R> R accept(ActVisitor<R> visitor);

  /** What was typed in words, a reason or a note; empty where nothing was. */
  default String words() {
    return "";
  }

  /** Whether the pump is as it was: what was signed off before still stands. */
  default boolean leavesTheWork() {
    return false;
  }
}
