package isokinon.server.work.bench;

import isokinon.core.act.Act;
import isokinon.core.act.StepAct;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/** What is done at a step, as a screen asks for it. */
public sealed interface AskedStepAct extends AskedAct {

  /**
   * A check of a step is answered.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   * @param reading left out where it is only confirmed; the left one of a pair
   * @param right the right one of a pair; left out where there is no pair
   */
  record Checked(
      @NotNull @Identifier String step,
      @NotNull @Identifier String check,
      @Valid TypedReading reading,
      @Valid TypedReading right)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return reader.checked(this);
    }
  }

  /**
   * A matched part goes back.
   *
   * @param step build step, id
   * @param place place that is filled
   * @param piece piece from the tray, named by the place it came from
   */
  record Placed(
      @NotNull @Identifier String step,
      @NotNull @Identifier String place,
      @NotNull @Identifier String piece)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.Placed(step, place, piece);
    }
  }

  /**
   * The torque of one fastener is read, or a click wrench gave way.
   *
   * @param step build step, id
   * @param pass from 1
   * @param fastener number in the order of the joint, from 1
   * @param reading what the wrench shows; left out where it clicked
   * @param clicked a click wrench gave way at the setting of the pass
   */
  record TorqueRead(
      @NotNull @Identifier String step,
      int pass,
      int fastener,
      @Valid TypedReading reading,
      boolean clicked)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return reader.torqueRead(this);
    }
  }

  /**
   * A pass of a joint is done.
   *
   * @param step build step, id
   * @param pass from 1
   */
  record PassDone(@NotNull @Identifier String step, int pass) implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.PassDone(step, pass);
    }
  }

  /**
   * The lead accepts a torque out of range.
   *
   * @param step build step, id
   * @param fastener from 1
   * @param because the reason
   */
  record TorqueAccepted(
      @NotNull @Identifier String step, int fastener, @Size(max = MOST_TEXT) String because)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.TorqueAccepted(step, fastener, AskedAct.text(because));
    }
  }

  /**
   * A step is done.
   *
   * @param step strip or build step, id
   * @param because why it is done before a waiting time is over
   */
  record StepDone(@NotNull @Identifier String step, @Size(max = MOST_TEXT) String because)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.StepDone(step, AskedAct.text(because));
    }
  }

  /**
   * The last step is taken back.
   *
   * @param step id
   */
  record StepUndone(@NotNull @Identifier String step) implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.StepUndone(step);
    }
  }

  /**
   * A check that is no hold point is left.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   * @param because the reason
   */
  record CheckLeft(
      @NotNull @Identifier String step,
      @NotNull @Identifier String check,
      @NotNull @Size(max = AskedAct.MOST_TEXT) String because)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.CheckLeft(step, check, because);
    }
  }

  /**
   * A second person looked as well.
   *
   * @param step strip or build step, id
   * @param check check of that step, id
   */
  record Seconded(@NotNull @Identifier String step, @NotNull @Identifier String check)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.Seconded(step, check);
    }
  }

  /**
   * A strip step cannot be done: another way in is taken.
   *
   * @param step strip step in hand, id
   * @param because what stands against it
   */
  record FoundImpossible(
      @NotNull @Identifier String step, @NotNull @Size(max = AskedAct.MOST_TEXT) String because)
      implements AskedStepAct {
    @Override
    public Act read(ActReader reader) {
      return new StepAct.FoundImpossible(step, because);
    }
  }
}
