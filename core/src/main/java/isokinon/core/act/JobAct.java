package isokinon.core.act;

import isokinon.core.value.Code;
import java.util.List;
import java.util.Optional;

/** What is done to the job as a whole. */
public sealed interface JobAct extends Act {

  /** Why a pump came in. */
  public enum CameIn implements Code {
    /** Its interval was up. */
    DUE,
    /** It gave out: what wears in it has failed, whether anybody judges it or not. */
    FAILED,
    /** Something was seen or heard; it still did its work. */
    SYMPTOM,
    /** It was opened for another reason, as when its line stood. */
    CHANCE
  }

  /**
   * The pump is taken in: what is asked of the job, and why now.
   *
   * @param renew parts to renew, ids
   * @param inspect parts to look at, ids
   * @param ways ways of work to follow, ids; a school not named follows its usual way
   * @param avoid strip steps to do without, ids
   * @param why why the pump came in; empty where nobody said
   * @param reason the same in words; may be empty
   */
  record TakenIn(
      List<String> renew,
      List<String> inspect,
      List<String> ways,
      List<String> avoid,
      Optional<CameIn> why,
      String reason)
      implements JobAct {

    /** Taken in without a word of why. */
    public TakenIn(
        List<String> renew,
        List<String> inspect,
        List<String> ways,
        List<String> avoid,
        String reason) {
      this(renew, inspect, ways, avoid, Optional.empty(), reason);
    }

    /** Copies its lists. */
    public TakenIn {
      renew = List.copyOf(renew);
      inspect = List.copyOf(inspect);
      ways = List.copyOf(ways);
      avoid = List.copyOf(avoid);
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.takenIn(this);
    }

    @Override
    public String words() {
      return reason;
    }
  }

  /**
   * What the pump did is told at the take-in.
   *
   * @param suspected likeliest fault by what was told, id of the diagnosis tables
   * @param observations in the order they were told
   */
  record SymptomsTold(Optional<String> suspected, List<Observation> observations)
      implements JobAct {
    /** Copies its list. */
    public SymptomsTold {
      observations = List.copyOf(observations);
    }

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.symptomsTold(this);
    }
  }

  /**
   * Another way of a school is followed from here.
   *
   * @param school school of the sheet, id
   * @param way way of that school, id
   */
  record WayChosen(String school, String way) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.wayChosen(this);
    }
  }

  /**
   * An energy of the make-safe gate is proved gone.
   *
   * @param hazard hazard of the sheet, id
   * @param reading what its gauge shows; empty where it is only confirmed
   */
  record ProvedSafe(String hazard, Optional<Reading> reading) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.provedSafe(this);
    }
  }

  /**
   * One of the confirmations that every make-safe gate has.
   *
   * @param confirmation id
   */
  record Confirmed(String confirmation) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.confirmed(this);
    }
  }

  /**
   * The job rests.
   *
   * @param waitsFor what it waits for, in words
   * @param note for whoever takes it up; may be empty
   */
  record Paused(String waitsFor, String note) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.paused(this);
    }

    @Override
    public String words() {
      return note;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }

  /**
   * The job goes to another person, at a change of shifts: from now on nobody acts until somebody
   * has read the note and taken it on.
   *
   * @param note how it stands and what comes next, for whoever takes it on; at most {@value
   *     #MOST_NOTE} characters, which fit on a card of A6
   */
  record HandedOver(String note) implements JobAct {

    /** Characters of a note. */
    public static final int MOST_NOTE = 600;

    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.handedOver(this);
    }

    @Override
    public String words() {
      return note;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }

  /** Whoever did this read the note and has the job from now on. */
  record TakenOn() implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.takenOn(this);
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }

  /**
   * The job goes on.
   *
   * @param note may be empty
   */
  record Resumed(String note) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.resumed(this);
    }

    @Override
    public String words() {
      return note;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }

  /**
   * A stage that does not end by itself is finished.
   *
   * @param stage Make safe, Inspect, Decide or Prove
   */
  record StageDone(Stage stage) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.stageDone(this);
    }
  }

  /**
   * What was wrong with the pump.
   *
   * @param fault id of the diagnosis tables; empty where they have none for it
   * @param note may be empty
   */
  record FaultFound(Optional<String> fault, String note) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.faultFound(this);
    }

    @Override
    public String words() {
      return note;
    }
  }

  /**
   * A note, which changes nothing but the record.
   *
   * @param text the note
   */
  record Noted(String text) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.noted(this);
    }

    @Override
    public String words() {
      return text;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }

  /** Somebody stands with their name for what was done: the pump may be handed back. */
  record SignedOff() implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.signedOff(this);
    }
  }

  /**
   * The pump is handed back.
   *
   * @param due when it is due again; empty in records made before that was kept as numbers
   * @param said what an older record says of it; else empty
   */
  record HandedBack(Optional<NextDue> due, String said) implements JobAct {
    @Override
    public <R> R accept(ActVisitor<R> visitor) {
      return visitor.handedBack(this);
    }

    @Override
    public String words() {
      return said;
    }

    @Override
    public boolean leavesTheWork() {
      return true;
    }
  }
}
