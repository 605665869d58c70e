package isokinon.core.act;

import java.util.List;
import java.util.Optional;

/** What is done at a test of the proof, or when a waiting time is over. */
public sealed interface ProofAct extends Act {

  /**
   * A test of the proof is read or confirmed.
   *
   * @param test test of the sheet, id
   * @param reading empty where it is only confirmed
   * @param gauge empty where the reading was typed without one
   * @param timing how it was timed where no clock ran, or why it was not waited for; else empty
   */
  record Proved(String test, Optional<Reading> reading, Optional<GaugeUse> gauge, String timing)
      implements ProofAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.proved(this);
    }

    @Override
    public String words() {
      return timing;
    }
  }

  /**
   * A test that is confirmed did not hold.
   *
   * @param test id
   * @param seen what was seen; may be empty
   */
  record NotMet(String test, String seen) implements ProofAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.notMet(this);
    }
  }

  /**
   * The clock of a test is started.
   *
   * @param test id
   */
  record ClockStarted(String test) implements ProofAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.clockStarted(this);
    }
  }

  /**
   * A failed test sends the job back to steps that may be behind it.
   *
   * @param test id
   * @param steps steps it goes back to, ids; empty for all that the sheet names
   */
  record SentBack(String test, List<String> steps) implements ProofAct {

    /** Copies its list. */
    public SentBack {
      steps = List.copyOf(steps);
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.sentBack(this);
    }
  }

  /**
   * A joint is tightened again, or a gland followed up.
   *
   * @param subject step or test that waited, id
   * @param because why it was done before its time; else empty
   */
  record Settled(String subject, String because) implements ProofAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.settled(this);
    }

    @Override
    public String words() {
      return because;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }
}
