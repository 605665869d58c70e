package isokinon.server.work.diary;

import isokinon.server.planning.Opening;
import isokinon.server.planning.PlannedJob;
import isokinon.server.work.diary.WorkList.Work;
import isokinon.server.work.shared.Text;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** The diary's reasons. */
final class DiaryText {

  private DiaryText() {}

  /**
   * Why a job stands where it does: what waiting risks, its kit, its line, what keeps it from a
   * cheaper time.
   */
  static String because(Work w, PlannedJob j, List<PlannedJob> all, DiaryDays when) {
    double days = (double) j.opening().start() / DiaryDays.DAY_SLOTS;
    StringBuilder say = new StringBuilder();
    say.append(due(w)).append(' ');
    say.append(
        String.format(
            Locale.ROOT,
            "%s %% chance of failing before it is done, £%d expected; £%d of the set wasted. ",
            percent(w.cost().risk(days)),
            Math.round(w.cost().ofFailing(days)),
            Math.round(w.cost().ofWaste(days))));
    say.append(w.kit()).append(' ');
    if (!w.line().isEmpty()) {
      say.append("Only while ").append(w.line()).append(" stands still. ");
    }
    if (!j.costs().containsKey(j.opening())) {
      return say.append("Put here by hand.").toString();
    }
    Map.Entry<Opening, Long> cheapest =
        j.costs().entrySet().stream().min(Map.Entry.comparingByValue()).orElseThrow();
    if (cheapest.getValue() < j.cost()) {
      say.append("Its cheapest time, ")
          .append(when.say(cheapest.getKey().start()))
          .append(", is taken: ")
          .append(taken(w, j, cheapest.getKey(), all))
          .append('.');
    } else {
      say.append("No free time costs less.");
    }
    return say.toString();
  }

  private static String percent(double risk) {
    return risk > 0 && risk < 0.01 ? "Under 1" : String.valueOf(Math.round(100 * risk));
  }

  private static String taken(Work w, PlannedJob j, Opening there, List<PlannedJob> all) {
    PlannedJob moved =
        new PlannedJob(j.pump(), j.slots(), j.fixture(), j.pair(), 0, Map.of(), there);
    return all.stream()
        .filter(x -> x.opening() != null && !x.pump().equals(j.pump()))
        .filter(x -> x.shared(moved) > 0)
        .flatMap(
            x ->
                x.person().equals(there.person())
                    ? Stream.of(there.person() + " does " + x.pump())
                    : !x.fixture().isEmpty() && x.fixture().equals(j.fixture())
                        ? Stream.of(x.pump() + " has the " + w.fixture().orElseThrow().title())
                        : x.pump().equals(j.pair())
                            ? Stream.of(x.pump() + " is out, its pair")
                            : Stream.empty())
        .findFirst()
        .orElse("another job before it leaves no room");
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
