package isokinon.server.work.insights;

import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.GroupKey;
import isokinon.server.work.insights.Insights.InsightView;
import isokinon.server.work.insights.Insights.Kind;
import isokinon.server.work.lives.Forecasts;
import isokinon.server.work.shared.StateMark;
import isokinon.server.work.shared.Text;
import java.util.Optional;

/** Words that finds have in common. */
record FindWords(Forecasts forecasts) {

  static InsightView about(
      Kind kind, StateMark state, String say, String because, Optional<Double> aYear, GroupKey of) {
    return new InsightView(
        kind, state, say, because, aYear, "", of.role(), of.material(), of.duty(), "");
  }

  /** "EPDM diaphragms in recovered wool grease"; a tube is named in its material already. */
  String parts(Group g) {
    String role = Text.words(g.of().role());
    String material = g.of().material();
    String named =
        material.endsWith(" " + role)
            ? material + "s"
            : material + " " + role + (role.endsWith("s") ? "es" : "s");
    String first = Text.sentence(named);
    return g.of().duty().isEmpty()
        ? first
        : first + " in " + Text.inSentence(forecasts.duty(g.of().duty()));
  }

  static String failed(Group g) {
    return g.failures() + " of " + finished(g) + " " + g.of().material() + " failed";
  }

  static long finished(Group g) {
    return g.runs().stream().filter(r -> !r.running()).count();
  }
}
