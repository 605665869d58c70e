package isokinon.core.rules;

import isokinon.core.act.Stage;
import isokinon.core.rebuild.Rebuild;
import java.util.Locale;
import java.util.Optional;

/** What every rule of the bench asks first: the stage and the step in hand, and how it says no. */
final class StageRules {

  /** So many times the way from watch to renew, or the limit of a test, no reading can lie off. */
  static final double ABSURD = 20;

  private final Rebuild rebuild;

  StageRules(Rebuild rebuild) {
    this.rebuild = rebuild;
  }

  Optional<ActRefusal> from(Stage stage) {
    return unless(
        rebuild.stage().compareTo(stage) >= 0 && rebuild.stage() != Stage.CLOSED,
        "",
        "That comes later: the rebuild is in " + rebuild.stage().title() + ".");
  }

  Optional<ActRefusal> current(String step) {
    return unless(
        rebuild.currentStep().equals(Optional.of(step)),
        "step",
        rebuild
            .currentStep()
            .map(s -> "Another step is in hand now.")
            .orElse("No step is in hand in " + rebuild.stage().title() + "."));
  }

  /** The build is on, and this step of it in hand. */
  Optional<ActRefusal> building(String step) {
    return in(Stage.BUILD).or(() -> current(step));
  }

  Optional<ActRefusal> in(Stage stage) {
    return unless(
        rebuild.stage() == stage,
        "",
        "This belongs to "
            + stage.title()
            + "; the rebuild is in "
            + rebuild.stage().title()
            + ".");
  }

  String name(String part) {
    return rebuild.sheet().part(part).map(p -> p.name().toLowerCase(Locale.ROOT)).orElse(part);
  }

  static Optional<ActRefusal> unless(boolean holds, String path, String message) {
    return holds ? Optional.empty() : no(path, message);
  }

  static Optional<ActRefusal> no(String path, String message) {
    return Optional.of(new ActRefusal(path, message));
  }

  static String say(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
