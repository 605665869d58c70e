package isokinon.core.sheet;

import isokinon.core.value.Code;
import java.util.List;
import java.util.Optional;

/**
 * A question good technicians answer differently: the job chooses one of its ways. Or a variant:
 * what stands there decides.
 *
 * @param id kebab-case, unique within the sheet
 * @param ask the question
 * @param variant whether it is a fact of the pump, seen at the take-in, and no matter of opinion
 * @param ways the answers, at least two, exactly one of them standard
 */
public record School(String id, String ask, boolean variant, List<Way> ways) {

  /**
   * One answer to the question.
   *
   * @param id kebab-case, unique within the sheet; steps, checks and cautions name it in {@code
   *     way}
   * @param title the answer in a few words
   * @param say what it costs or risks, one sentence
   * @param standard whether a job follows it unless another is chosen
   * @param effect what it changes besides the steps that name it
   */
  public record Way(String id, String title, String say, boolean standard, Effect effect) {}

  /** What a way changes besides the steps that name it. */
  public enum Effect implements Code {
    NONE,
    /** Parts of a kit are renewed with it where the route lays them open. */
    KIT_CONTENTS,
    /** Side B is opened only once side A is closed again: whatever both need stays open between. */
    ONE_SIDE,
    /** The pump has no next due date: it runs until a part fails. */
    UNTIL_TEAR,
    /** Parts that come out sound are scrapped, not kept. */
    SCRAP_ALL
  }

  /** Whether to renew what a kit holds, or only what is asked for, one-time or found bad. */
  public static final School RENEWALS =
      new School(
          "renewals",
          "Renew what the kit holds, or by finding",
          false,
          List.of(
              new Way(
                  "kit-contents",
                  "What the kit holds",
                  "Dearer in parts; what lies open is not opened again soon.",
                  true,
                  Effect.KIT_CONTENTS),
              new Way(
                  "by-finding",
                  "By finding",
                  "Cheaper in parts; a sound part may end before the next rebuild.",
                  false,
                  Effect.NONE)));

  /** Whether to renew at an interval or when it tears. */
  public static final School INTERVAL =
      new School(
          "interval",
          "Next time at an interval, or when it tears",
          false,
          List.of(
              new Way(
                  "at-interval",
                  "At the interval",
                  "Some life is given away; the stop is a planned one.",
                  true,
                  Effect.NONE),
              new Way(
                  "until-tear",
                  "When it tears",
                  "The whole life is used; the stop comes by itself, so the kit must lie ready.",
                  false,
                  Effect.UNTIL_TEAR)));

  /** What becomes of parts that are taken out and look sound. */
  public static final School RETIRED =
      new School(
          "retired",
          "Parts taken out that look sound",
          false,
          List.of(
              new Way(
                  "tagged",
                  "Keep with a tag",
                  "One-time parts are scrapped; the rest is a spare with its hours on it.",
                  true,
                  Effect.NONE),
              new Way(
                  "scrapped",
                  "Scrap all",
                  "Nothing worn can find its way back; no spare in a pinch.",
                  false,
                  Effect.SCRAP_ALL)));

  /** Questions every construction has; a sheet that names one of them says it in its own way. */
  public static final List<School> OF_EVERY_SHEET = List.of(RENEWALS, INTERVAL, RETIRED);

  /** The way a job follows unless another is chosen. */
  public Way standard() {
    return ways.stream().filter(Way::standard).findFirst().orElse(ways.get(0));
  }

  /** The way with this id; empty where this school has none. */
  public Optional<Way> way(String wayId) {
    return ways.stream().filter(w -> w.id().equals(wayId)).findFirst();
  }
}
