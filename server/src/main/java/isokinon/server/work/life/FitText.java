package isokinon.server.work.life;

import isokinon.core.life.frailty.FitCheck.Agreement;
import isokinon.server.work.life.LifeView.FitStretch;
import isokinon.server.work.life.LifeView.FitView;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Optional;

/** Where the curve and what happened part company, and what would explain it. */
final class FitText {

  private FitText() {}

  /**
   * What the stretches say.
   *
   * @param apart the pump that surely wears faster than the others, as a sentence, or empty
   */
  static FitView of(List<FitStretch> stretches, String apart) {
    FitStretch first = stretches.get(0);
    if (first.agreement() == Agreement.MORE) {
      return new FitView(
          stretches,
          Text.count(first.failed(), "set")
              + " failed within "
              + LifeText.h(first.to().orElseThrow())
              + " of a rebuild, where the curve allows "
              + allowed(first)
              + ".",
          "A fault of the rebuild would explain it, not wear: age does not prevent it. Look at what"
              + " these rebuilds have in common.");
    }
    Optional<FitStretch> more =
        stretches.stream().filter(s -> s.agreement() == Agreement.MORE).findFirst();
    Optional<FitStretch> fewer =
        stretches.stream().filter(s -> s.agreement() == Agreement.FEWER).findFirst();
    if (more.isEmpty() && fewer.isEmpty()) {
      return new FitView(stretches, "", "");
    }
    FitStretch parts = more.or(() -> fewer).orElseThrow();
    return new FitView(
        stretches,
        Text.count(parts.failed(), "set")
            + " failed "
            + where(parts)
            + ", where the curve allows "
            + allowed(parts)
            + ".",
        apart.isEmpty()
            ? more.isPresent()
                ? "Two kinds of set would explain it: compare their lots and who made them."
                : "A change of the duty or of the sets would explain it: ask for the last years alone."
            : "One pump apart would explain it: " + apart);
  }

  private static String where(FitStretch s) {
    return s.to()
        .map(to -> "between " + LifeText.h(s.from()) + " and " + LifeText.h(to))
        .orElseGet(() -> "past " + LifeText.h(s.from()));
  }

  private static String allowed(FitStretch s) {
    return s.high() == 0
        ? "none"
        : s.low() == s.high() ? String.valueOf(s.high()) : s.low() + " to " + s.high();
  }
}
