package isokinon.server.work.life;

import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.core.renewal.Policies.Way;
import isokinon.server.work.life.LifeView.PolicyBar;
import isokinon.server.work.life.LifeView.PolicyView;
import isokinon.server.work.life.LifeView.TermsView;
import isokinon.server.work.life.LifeView.TodayView;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The ways to keep a set, as the Life place shows them, beside what is done today. */
final class LifeWays {

  private LifeWays() {}

  /** The three ways at their best, fixed interval first. */
  static List<PolicyView> all(Policies p, GroupLife life, Terms terms, TermsView asked) {
    List<PolicyView> views = new ArrayList<>();
    views.add(
        p.fixed()
            .map(k -> view(k, p, life, terms, asked))
            .orElseGet(() -> dear(Way.FIXED, "no age pays")));
    views.add(view(p.untilItFails(), p, life, terms, asked));
    p.look()
        .map(k -> view(k, p, life, terms, asked))
        .or(
            () ->
                terms.look().isPresent()
                    ? Optional.of(dear(Way.LOOK, LifeText.neverPays(terms)))
                    : Optional.empty())
        .ifPresent(views::add);
    return views;
  }

  /** A way that costs more than running until it fails, whatever its setting. */
  private static PolicyView dear(Way way, String say) {
    return new PolicyView(
        way,
        LifeText.title(way),
        say,
        Optional.empty(),
        Optional.empty(),
        0,
        0,
        0,
        0,
        PolicyBar.DEAR,
        false);
  }

  private static PolicyView view(Kept k, Policies p, GroupLife life, Terms terms, TermsView asked) {
    double year = life.perHour() * asked.hoursPerYear();
    boolean endless = Double.isInfinite(k.every());
    return new PolicyView(
        k.way(),
        LifeText.title(k.way()),
        LifeText.say(k, terms, life.perHour()),
        endless ? Optional.empty() : Optional.of(life.hours(k.every())),
        k.way() == Way.FIXED
            ? Optional.of(life.hours(Policies.hardlyDearerTo(k, life.estimate().chosenBy(), terms)))
            : Optional.empty(),
        life.perThousandHours(k.rate()),
        k.rate() * year,
        k.failures() * year,
        k.renewals() * year,
        bar(k.bar()),
        p.chosen().filter(c -> c.way() == k.way()).isPresent());
  }

  private static PolicyBar bar(Policies.Bar bar) {
    return switch (bar) {
      case NONE -> PolicyBar.NONE;
      case HARMS -> PolicyBar.HARMS;
      case LIMIT -> PolicyBar.LIMIT;
    };
  }

  /** What is done today beside the best; empty where nothing runs or nobody can tell. */
  static Optional<TodayView> today(Policies p, GroupLife life, TermsView asked) {
    return p.now()
        .filter(n -> asked.positions() > 0)
        .map(
            now -> {
              double best = p.chosen().map(Kept::rate).orElse(now.rate());
              double over = (now.rate() - best) * life.perHour() * asked.hoursPerYear();
              double age = life.hours(now.every());
              return new TodayView(
                  age,
                  life.perThousandHours(now.rate()),
                  Math.max(0, over),
                  "today, about " + LifeText.h(age));
            });
  }
}
