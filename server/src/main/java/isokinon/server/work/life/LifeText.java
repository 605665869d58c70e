package isokinon.server.work.life;

import isokinon.core.life.LifeEstimate;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.renewal.BestAgeBand;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Bar;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.work.life.LifeView.HeadPiece;
import isokinon.server.work.lives.Renewals;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The sentences of the Life place. */
public final class LifeText {

  private static final double FEW_HOURS = 200;

  private LifeText() {}

  /** Hours as people say them: to ten hours, to one where they are few. */
  public static String h(double hours) {
    double step = hours >= FEW_HOURS ? 10 : 1;
    return Text.plain(Math.round(hours / step) * step) + " h";
  }

  /** The answer as one sentence in pieces. */
  static List<HeadPiece> headline(
      Optional<Policies> policies, Optional<Terms> terms, LifeEstimate estimate, double perHour) {
    if (policies.isEmpty()) {
      return List.of(new HeadPiece("Say what a renewal and a failure cost.", false));
    }
    Policies p = policies.get();
    if (!estimate.tells()) {
      return List.of(new HeadPiece("Not enough runs to tell.", false));
    }
    Optional<Kept> chosen = p.chosen();
    if (chosen.isEmpty()) {
      return List.of(
          new HeadPiece("No age pays, and it must not fail: set a limit with the maker.", false));
    }
    Kept k = chosen.get();
    if (p.hardlyMatters() && k.way() == Way.FIXED) {
      return List.of(
          new HeadPiece("It hardly matters: at ", false),
          new HeadPiece(h(k.every() / perHour), true),
          new HeadPiece(" or when it fails.", false));
    }
    return switch (k.way()) {
      case UNTIL_IT_FAILS -> List.of(new HeadPiece("Run it until it fails.", false));
      case LOOK ->
          List.of(
              new HeadPiece("Look every ", false),
              new HeadPiece(h(k.every() / perHour), true),
              new HeadPiece(", renew when worn.", false));
      case FIXED ->
          k.cut()
              ? List.of(
                  new HeadPiece("Renew at ", false),
                  new HeadPiece(h(k.every() / perHour), true),
                  new HeadPiece(", the limit of the sheet.", false))
              : List.of(
                  new HeadPiece("Renew at ", false),
                  new HeadPiece(h(k.every() / perHour), true),
                  new HeadPiece(
                      "; hardly dearer to "
                          + h(
                              Policies.hardlyDearerTo(k, estimate.chosenBy(), terms.orElseThrow())
                                  / perHour)
                          + ".",
                      false));
    };
  }

  /** What the estimate comes from, and what its shape means. */
  static String basis(LifeEstimate e, Group group) {
    int running = (int) group.runs().stream().filter(WearRun::running).count();
    String runs =
        Text.count(e.runs(), "run")
            + ": "
            + e.failures()
            + " failed, "
            + (e.runs() - e.failures() - running)
            + " came out sound, "
            + running
            + " still running. ";
    double shape = e.shape().median();
    String means =
        e.shape().low() > 1
            ? ": these wear out, so age tells."
            : e.shape().high() < 1
                ? ": these fail young, so age protects."
                : ": whether age tells is not sure.";
    return runs
        + String.format(
            Locale.ROOT,
            "Library and runs together, shape %.1f (%.1f to %.1f)",
            shape,
            e.shape().low(),
            e.shape().high())
        + means;
  }

  /**
   * Which runs count by the duty of their time, as a sentence; empty where all ran in the one of
   * now.
   *
   * @param paces how fast each of them wore, by how fast it would wear now
   */
  static String earlier(List<Double> paces) {
    if (paces.isEmpty()) {
      return "";
    }
    double low = paces.stream().mapToDouble(p -> p).min().orElseThrow();
    double high = paces.stream().mapToDouble(p -> p).max().orElseThrow();
    String hour = String.format(Locale.ROOT, "%.2f", low);
    String to = String.format(Locale.ROOT, "%.2f", high);
    return Text.count(paces.size(), "run")
        + (paces.size() == 1 ? " was" : " were")
        + " in an earlier duty, for a part of it at least: an hour there counts as "
        + (hour.equals(to) ? hour : hour + " to " + to)
        + " h of now, by the library's factor.";
  }

  /** What a width of a group takes together. */
  static String level(Level level, LifeGroups.GroupKey of, String duty) {
    return switch (level) {
      case PUMP -> of.pump() + " alone";
      case CONSTRUCTION -> "pumps like it in " + Text.inSentence(duty);
      case DUTY -> "all in " + Text.inSentence(duty);
      case ANY_DUTY -> "all, whatever the duty";
    };
  }

  /** Whose runs a pump's life comes from. */
  static String together(Group group, Group own, LifeGroups.GroupKey of) {
    int others = group.runs().size() - own.runs().size();
    return others == 0
        ? ""
        : Text.count(own.runs().size(), "run")
            + " of "
            + of.pump()
            + " count in full, "
            + others
            + " of the other pumps in this duty as far as pumps are alike.";
  }

  /** Where the costs come from. */
  static String costs(int positions, boolean known, List<Renewals.Renewal> each) {
    if (positions == 0) {
      return "No pump runs with it now, so nothing tells what it costs.";
    }
    if (!known) {
      return "The catalogue has no kit of this material: say what a renewal costs.";
    }
    double minutes = each.stream().mapToDouble(Renewals.Renewal::minutes).average().orElse(0);
    double labour = each.stream().mapToDouble(Renewals.Renewal::labour).average().orElse(0);
    return "Kit from the catalogue, "
        + Math.round(minutes)
        + " min of the plan at ¤"
        + Text.plain(minutes > 0 ? Math.rint(100 * labour / minutes * 60) / 100 : 0)
        + " an hour; a failure adds what a stop of the pump costs.";
  }

  static String title(Way way) {
    return switch (way) {
      case FIXED -> "Renew at a fixed age";
      case UNTIL_IT_FAILS -> "Run until it fails";
      case LOOK -> "Look, renew when worn";
    };
  }

  /** Why looking is no way at all. */
  static String neverPays(Terms terms) {
    return "never pays at ¤" + Text.plain(Math.round(terms.look().orElseThrow())) + " a look";
  }

  /** A way at its setting, and what bars it. */
  static String say(Kept k, Terms terms, double perHour) {
    if (k.bar() == Bar.HARMS) {
      return "not here: a failure harms people or the place";
    }
    if (k.bar() == Bar.LIMIT) {
      return "not here: the sheet sets " + h(terms.limit().orElseThrow() / perHour);
    }
    return switch (k.way()) {
      case FIXED -> "at " + h(k.every() / perHour) + (k.cut() ? ", the limit of the sheet" : "");
      case UNTIL_IT_FAILS -> "kit on the shelf";
      case LOOK ->
          "every "
              + h(k.every() / perHour)
              + ", ¤"
              + Text.plain(Math.round(terms.look().orElseThrow()))
              + " a look";
    };
  }

  /** How sure the best age is. */
  static String sure(
      Optional<Policies> policies, Optional<Terms> terms, LifeEstimate estimate, double perHour) {
    if (!estimate.tells()) {
      return "With "
          + Text.count(estimate.failures(), "failure")
          + " the library's word carries it: one failure more may move it far.";
    }
    return policies
        .flatMap(Policies::fixed)
        .flatMap(
            f ->
                BestAgeBand.of(
                    estimate.life(), terms.orElseThrow().planned(), terms.orElseThrow().failed()))
        .map(
            b ->
                "Over all that the runs leave open, the best age lies between "
                    + h(b.low() / perHour)
                    + " and "
                    + h(b.high() / perHour)
                    + " eight times in ten.")
        .orElse("");
  }
}
