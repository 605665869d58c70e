package isokinon.server.work.life;

import isokinon.core.life.LifeEstimate;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Bar;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Terms;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.renewal.WorthOfKnowing;
import isokinon.server.work.life.LifeView.ChangeView;
import isokinon.server.work.life.LifeView.TermsView;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot.PumpInService;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What would change the answer of how to keep a part. */
@Component
class WhatIf {

  private static final double HOTTER_K = 5;

  /** What is worth less a year is not worth a line, pounds. */
  private static final double WORTH = 1;

  private final LifeService lives;

  WhatIf(LifeService lives) {
    this.lives = lives;
  }

  List<ChangeView> changes(
      Policies p,
      LifeEstimate estimate,
      Terms terms,
      TermsView view,
      List<PumpInService> running,
      double perHour) {
    List<ChangeView> changes = new ArrayList<>();
    Way way = p.chosen().map(Kept::way).orElse(Way.FIXED);
    if (p.untilItFails().bar() == Bar.NONE) {
      double cost = Policies.failureCostToCare(estimate.chosenBy(), terms);
      changes.add(
          cost < terms.failed()
              ? new ChangeView("A failure under " + money(cost), "then run it until it fails")
              : new ChangeView("A failure over " + money(cost), "then a fixed age pays"));
    }
    if (terms.look().isPresent()) {
      double cost = Policies.lookCostToLook(estimate.chosenBy(), view.warning(), terms);
      if (cost <= 0) {
        changes.add(new ChangeView("A look at any price", "is never the cheapest"));
      } else if (way == Way.LOOK) {
        changes.add(
            new ChangeView("A look over " + money(cost), "then looking is no longer cheapest"));
      } else {
        changes.add(new ChangeView("A look under " + money(cost), "then looking is cheapest"));
      }
    }
    p.fixed().flatMap(f -> hotter(f, running, perHour)).ifPresent(changes::add);
    if (!running.isEmpty()) {
      changes.addAll(knowing(p, estimate, terms, perHour, view.hoursPerYear()));
    }
    return changes;
  }

  /**
   * What it would be worth to know the life better.
   *
   * @param perHour units of age in a running hour
   * @param hoursPerYear of all that run
   */
  private static List<ChangeView> knowing(
      Policies p, LifeEstimate estimate, Terms terms, double perHour, double hoursPerYear) {
    double aYear = perHour * hoursPerYear;
    WorthOfKnowing worth = WorthOfKnowing.of(estimate.life(), terms.planned(), terms.failed());
    List<ChangeView> changes = new ArrayList<>();
    changes.add(
        new ChangeView(
            "Knowing this life exactly", "worth " + money(worth.exactly() * aYear) + " a year"));
    if (p.untilItFails().bar() == Bar.NONE && worth.byTwo() * aYear >= WORTH) {
      changes.add(
          new ChangeView(
              "Two sets more run until they fail",
              "worth "
                  + money(worth.byTwo() * aYear)
                  + " a year, cost "
                  + money(worth.costOfTwo())
                  + " once"
                  + p.look()
                      .filter(l -> l.bar() == Bar.NONE)
                      .map(l -> ", or look every " + LifeText.h(l.every() / perHour) + " instead")
                      .orElse("")));
    }
    return changes;
  }

  /** The best age goes with the life, and the life with the library's factor. */
  private Optional<ChangeView> hotter(Kept fixed, List<PumpInService> running, double perHour) {
    Optional<PumpInService> one = running.stream().findFirst();
    Optional<Double> now = one.flatMap(s -> lives.factor(s.pump(), 0));
    if (now.isEmpty()) {
      return Optional.empty();
    }
    Optional<Double> then = lives.factor(one.get().pump(), HOTTER_K);
    String when = "The fluid " + Text.plain(HOTTER_K) + " K hotter";
    if (then.isEmpty()) {
      return Optional.of(new ChangeView(when, "then this material is out"));
    }
    double shorter = fixed.every() / perHour * (1 - then.get() / now.get());
    return Optional.of(
        new ChangeView(
            when,
            shorter < 1
                ? "changes nothing by the library"
                : "shorter by about " + LifeText.h(shorter)));
  }

  private static String money(double pounds) {
    return "¤" + Text.plain(Math.round(pounds));
  }
}
