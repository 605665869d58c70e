package isokinon.server.work.bench;

import isokinon.core.act.Act;
import isokinon.core.act.ProofAct;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** What is done at a test of the proof, as a screen asks for it. */
public sealed interface AskedProofAct extends AskedAct {

  /**
   * A test of the proof is read or confirmed.
   *
   * @param test id
   * @param reading left out where it is only confirmed
   * @param timing how it was timed where no clock ran, or why it was not waited for
   */
  record Proved(
      @NotNull @Identifier String test,
      @Valid TypedReading reading,
      @Size(max = MOST_TEXT) String timing)
      implements AskedProofAct {
    @Override
    public Act read(ActReader reader) {
      return new ProofAct.Proved(
          test, reader.test(test, reading), reader.gauge(reading), AskedAct.text(timing));
    }
  }

  /**
   * The clock of a test is started.
   *
   * @param test id
   */
  record ClockStarted(@NotNull @Identifier String test) implements AskedProofAct {
    @Override
    public Act read(ActReader reader) {
      return new ProofAct.ClockStarted(test);
    }
  }

  /**
   * A test that is confirmed did not hold.
   *
   * @param test id
   * @param what what was seen; may be empty
   */
  record NotMet(@NotNull @Identifier String test, @Size(max = MOST_TEXT) String what)
      implements AskedProofAct {
    @Override
    public Act read(ActReader reader) {
      return new ProofAct.NotMet(test, AskedAct.text(what));
    }
  }

  /**
   * A failed test sends the job back.
   *
   * @param test id
   * @param steps steps behind it to go back to, ids; none for all of them
   */
  record SentBack(
      @NotNull @Identifier String test, @Size(max = 200) List<@NotNull @Identifier String> steps)
      implements AskedProofAct {
    @Override
    public Act read(ActReader reader) {
      return new ProofAct.SentBack(test, AskedAct.list(steps));
    }
  }

  /**
   * A joint is tightened again, or a gland followed up.
   *
   * @param subject step or test that waited, id
   * @param because why it is done before its time
   */
  record Settled(@NotNull @Identifier String subject, @Size(max = MOST_TEXT) String because)
      implements AskedProofAct {
    @Override
    public Act read(ActReader reader) {
      return new ProofAct.Settled(subject, AskedAct.text(because));
    }
  }
}
