package isokinon.server.work.bench;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.core.act.Act;
import isokinon.core.rules.BenchRules;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An act as a screen asks for it: readings as they were typed. Each kind is a record of its own,
 * told apart by {@code kind}; a text or a list that is left out counts as empty.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@Schema(
    discriminatorProperty = "kind",
    oneOf = {
      AskedJobAct.TakenIn.class,
      AskedJobAct.SymptomsTold.class,
      AskedJobAct.WayChosen.class,
      AskedJobAct.ProvedSafe.class,
      AskedJobAct.Confirmed.class,
      AskedJobAct.Paused.class,
      AskedJobAct.Resumed.class,
      AskedJobAct.HandedOver.class,
      AskedJobAct.TakenOn.class,
      AskedJobAct.StageDone.class,
      AskedJobAct.FaultFound.class,
      AskedJobAct.Noted.class,
      AskedJobAct.SignedOff.class,
      AskedJobAct.HandedBack.class,
      AskedStepAct.Checked.class,
      AskedStepAct.Placed.class,
      AskedStepAct.TorqueRead.class,
      AskedStepAct.PassDone.class,
      AskedStepAct.TorqueAccepted.class,
      AskedStepAct.StepDone.class,
      AskedStepAct.StepUndone.class,
      AskedStepAct.CheckLeft.class,
      AskedStepAct.Seconded.class,
      AskedStepAct.FoundImpossible.class,
      AskedPartAct.Measured.class,
      AskedPartAct.Judged.class,
      AskedPartAct.CauseFound.class,
      AskedPartAct.MaterialChosen.class,
      AskedPartAct.KitFitted.class,
      AskedProofAct.Proved.class,
      AskedProofAct.ClockStarted.class,
      AskedProofAct.NotMet.class,
      AskedProofAct.SentBack.class,
      AskedProofAct.Settled.class
    })
public sealed interface AskedAct permits AskedJobAct, AskedStepAct, AskedPartAct, AskedProofAct {

  /** Longest note or reason, characters. */
  int MOST_TEXT = BenchRules.MOST_TEXT;

  /**
   * The act with its readings in the units that the sheet asks for.
   *
   * @throws isokinon.server.work.shared.RequestProblem where a reading is none, or a gauge is not
   *     known
   */
  Act read(ActReader reader);

  /** Every kind of act. */
  static List<Class<?>> kinds() {
    return Stream.of(AskedAct.class.getPermittedSubclasses())
        .<Class<?>>flatMap(family -> Stream.of(family.getPermittedSubclasses()))
        .toList();
  }

  /** What a kind of act is called in {@code kind}, for example {@code STEP_DONE}. */
  static String kind(Class<?> type) {
    return type.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_").toUpperCase(Locale.ROOT);
  }

  /** A text; empty where it was left out. */
  static String text(String given) {
    return given == null ? "" : given;
  }

  /** An id; empty where it was left out. */
  static Optional<String> id(String given) {
    return Optional.ofNullable(given).filter(i -> !i.isBlank());
  }

  /** A list; empty where it was left out. */
  static <T> List<T> list(List<T> given) {
    return given == null ? List.of() : given;
  }
}
