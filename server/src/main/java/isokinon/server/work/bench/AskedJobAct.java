package isokinon.server.work.bench;

import isokinon.core.act.Act;
import isokinon.core.act.JobAct;
import isokinon.core.act.JobAct.CameIn;
import isokinon.core.act.Stage;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;

/** What is done to the job as a whole, as a screen asks for it. */
public sealed interface AskedJobAct extends AskedAct {

  /**
   * The pump is taken in: what is asked of the job.
   *
   * @param renew parts to renew, ids
   * @param inspect parts to look at, ids
   * @param ways ways of work to follow, ids; a school not named follows its usual way
   * @param avoid strip steps to do without, ids
   * @param why why the pump came in; absent where nobody says
   * @param reason the same in words
   */
  record TakenIn(
      @Size(max = 200) List<@NotNull @Identifier String> renew,
      @Size(max = 200) List<@NotNull @Identifier String> inspect,
      @Size(max = 200) List<@NotNull @Identifier String> ways,
      @Size(max = 200) List<@NotNull @Identifier String> avoid,
      CameIn why,
      @Size(max = MOST_TEXT) String reason)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.TakenIn(
          AskedAct.list(renew),
          AskedAct.list(inspect),
          AskedAct.list(ways),
          AskedAct.list(avoid),
          Optional.ofNullable(why),
          AskedAct.text(reason));
    }
  }

  /**
   * What the pump did, as it is told at the take-in.
   *
   * @param suspected likeliest fault by what was told, id
   * @param observations in the order they were told
   */
  record SymptomsTold(
      @Identifier String suspected, @Size(max = 200) List<@NotNull @Valid Observed> observations)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.SymptomsTold(
          AskedAct.id(suspected),
          AskedAct.list(observations).stream().map(Observed::observation).toList());
    }
  }

  /**
   * Another way of a school is followed.
   *
   * @param school school of the sheet, id
   * @param way way of that school, id
   */
  record WayChosen(@NotNull @Identifier String school, @NotNull @Identifier String way)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.WayChosen(school, way);
    }
  }

  /**
   * An energy is proved gone.
   *
   * @param hazard hazard of the sheet, id
   * @param reading what its gauge shows; left out where it is only confirmed
   */
  record ProvedSafe(@NotNull @Identifier String hazard, @Valid TypedReading reading)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.ProvedSafe(hazard, reader.hazard(hazard, reading));
    }
  }

  /**
   * A confirmation of the make-safe gate.
   *
   * @param confirmation id
   */
  record Confirmed(@NotNull @Identifier String confirmation) implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.Confirmed(confirmation);
    }
  }

  /**
   * The job is laid aside.
   *
   * @param waitsFor what it waits for, in words
   * @param note for whoever takes it up
   */
  record Paused(@NotNull @Identifier String waitsFor, @Size(max = MOST_TEXT) String note)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.Paused(waitsFor, AskedAct.text(note));
    }
  }

  /**
   * The job goes on.
   *
   * @param note a note with it
   */
  record Resumed(@Size(max = MOST_TEXT) String note) implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.Resumed(AskedAct.text(note));
    }
  }

  /**
   * The job goes to whoever takes it on.
   *
   * @param note how it stands and what comes next
   */
  record HandedOver(@Size(max = JobAct.HandedOver.MOST_NOTE) String note) implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.HandedOver(AskedAct.text(note));
    }
  }

  /** The note was read, and the job is taken on. */
  record TakenOn() implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.TakenOn();
    }
  }

  /**
   * A stage that does not end by itself is finished.
   *
   * @param stage Make safe, Inspect, Decide or Prove
   */
  record StageDone(@NotNull Stage stage) implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.StageDone(stage);
    }
  }

  /**
   * What was wrong with the pump.
   *
   * @param fault id; left out where the tables have none for it
   * @param note in words
   */
  record FaultFound(@Identifier String fault, @Size(max = MOST_TEXT) String note)
      implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.FaultFound(AskedAct.id(fault), AskedAct.text(note));
    }
  }

  /**
   * A note.
   *
   * @param text the note
   */
  record Noted(@NotNull @Size(max = MOST_TEXT) String text) implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.Noted(text);
    }
  }

  /** What was done is signed off; wants the PIN of who signs, also of who is signed in. */
  record SignedOff() implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.SignedOff();
    }
  }

  /** The pump is handed back. */
  record HandedBack() implements AskedJobAct {
    @Override
    public Act read(ActReader reader) {
      return new JobAct.HandedBack(Optional.empty(), "");
    }
  }
}
