package isokinon.core.act;

import java.util.Optional;

/** What is done at a step of the strip or the build. */
public sealed interface StepAct extends Act {

  /** Strip or build step it belongs to, id. */
  String step();

  /**
   * A check of a step is answered.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   * @param reading empty where it is only confirmed
   * @param note for a pair of readings, both of them in words; else empty
   */
  record Checked(String step, String check, Optional<Reading> reading, String note)
      implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.checked(this);
    }

    @Override
    public String words() {
      return note;
    }
  }

  /**
   * A check that is no hold point is left, with the reason.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   * @param because the reason
   */
  record CheckLeft(String step, String check, String because) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.checkLeft(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * A second person looked as well, and says so.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   */
  record Seconded(String step, String check) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.seconded(this);
    }
  }

  /**
   * A strip step cannot be done, so another way in is taken from what is off already.
   *
   * @param step strip step in hand, id
   * @param because what stands against it
   */
  record FoundImpossible(String step, String because) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.foundImpossible(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * A matched part goes back.
   *
   * @param step build step in hand, id
   * @param place place that is filled
   * @param piece piece from the tray, named by the place it came from
   */
  record Placed(String step, String place, String piece) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.placed(this);
    }
  }

  /**
   * The torque of one fastener is read.
   *
   * @param step build step, id
   * @param pass from 1
   * @param fastener number in the order of the joint, from 1
   * @param nm N·m
   * @param clicked whether a click wrench gave way at {@code nm}, instead of a reading
   * @param gauge wrench of the shop that was read; empty where it was typed without one
   */
  record TorqueRead(
      String step, int pass, int fastener, double nm, boolean clicked, Optional<GaugeUse> gauge)
      implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.torqueRead(this);
    }
  }

  /**
   * A whole pass of a joint is done at its setting.
   *
   * @param step build step, id
   * @param pass from 1
   */
  record PassDone(String step, int pass) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.passDone(this);
    }
  }

  /**
   * The lead accepts a torque out of range.
   *
   * @param step build step, id
   * @param fastener from 1
   * @param because the reason
   */
  record TorqueAccepted(String step, int fastener, String because) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.torqueAccepted(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * A step is done.
   *
   * @param step strip or build step, id
   * @param because why it was done before a waiting time was over; else empty
   */
  record StepDone(String step, String because) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.stepDone(this);
    }

    @Override
    public String words() {
      return because;
    }
  }

  /**
   * The last step is taken back.
   *
   * @param step id
   */
  record StepUndone(String step) implements StepAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.stepUndone(this);
    }
  }
}
