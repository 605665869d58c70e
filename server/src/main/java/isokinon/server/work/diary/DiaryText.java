package isokinon.server.work.diary;

import isokinon.core.schedule.Job;
import isokinon.core.schedule.Opening;
import isokinon.core.schedule.Placement;
import isokinon.core.schedule.Slots;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.shared.Text;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.stream.Stream;

/** The diary's reasons. */
final class DiaryText {

  private DiaryText() {}

  /**
   * Why a job stands where it does: what waiting risks, its kit, its line, what keeps it from a
   * cheaper time.
   */
  static String because(Work w, Job job, Placement plan, DiaryDays when) {
    Opening there = plan.of(job).orElseThrow();
    double days = (double) there.start() / Slots.A_DAY;
    StringBuilder say = new StringBuilder();
    say.append(due(w)).append(' ');
    say.append(
        String.format(
            Locale.ROOT,
            "%s %% chance of failing before it is done, ¤%d expected; ¤%d of the set wasted. ",
            percent(w.cost().risk(days)),
            Math.round(w.cost().ofFailing(days)),
            Math.round(w.cost().ofWaste(days))));
    say.append(w.kit()).append(' ');
    if (!w.line().isEmpty()) {
      say.append("Only while ").append(w.line()).append(" stands still. ");
    }
    OptionalLong cost = job.cost(there);
    if (cost.isEmpty()) {
      return say.append("Put here by hand.").toString();
    }
    if (job.costs()[0] < cost.getAsLong()) {
      Opening cheapest = job.openings().get(0);
      say.append("Its cheapest time, ")
          .append(when.say(cheapest.start()))
          .append(", is taken: ")
          .append(taken(w, job, cheapest, plan))
          .append('.');
    } else {
      say.append("No free time costs less.");
    }
    return say.toString();
  }

  private static String percent(double risk) {
    return risk > 0 && risk < 0.01 ? "Under 1" : String.valueOf(Math.round(100 * risk));
  }

  private static String taken(Work w, Job job, Opening cheapest, Placement plan) {
    return plan.jobs().stream()
        .filter(x -> plan.of(x).isPresent() && !x.pump().equals(job.pump()))
        .filter(x -> meet(plan.of(x).get().start(), x.slots(), cheapest.start(), job.slots()))
        .flatMap(
            x ->
                plan.of(x).get().person().equals(cheapest.person())
                    ? Stream.of(cheapest.person() + " does " + x.pump())
                    : !x.fixture().isEmpty() && x.fixture().equals(job.fixture())
                        ? Stream.of(x.pump() + " has the " + w.fixture().orElseThrow().title())
                        : x.pump().equals(job.pair())
                            ? Stream.of(x.pump() + " is out, its pair")
                            : Stream.empty())
        .findFirst()
        .orElse("another job before it leaves no room");
  }

  private static boolean meet(int from, int slots, int otherFrom, int otherSlots) {
    return from < otherFrom + otherSlots && otherFrom < from + slots;
  }

  private static String due(Work w) {
    long days = Math.round(w.due().days());
    if (days > DiaryDays.DAYS) {
      return "Not due for " + Text.count(days, "day") + ", but likely to fail before.";
    }
    return days < 0
        ? "It is " + Text.count(-days, "day") + " past its due day."
        : "Due in " + Text.count(days, "day") + ".";
  }
}
