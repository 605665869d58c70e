package isokinon.server.work.year;

import isokinon.core.year.Keeping;
import isokinon.server.work.shared.Text;
import java.util.ArrayList;
import java.util.List;

/** What is said of a year. */
final class YearText {

  private YearText() {}

  static String title(YearPolicy policy) {
    return switch (policy) {
      case AS_TODAY -> "As today";
      case AS_ADVISED -> "As advised";
      case AT_AN_AGE -> "At the best age";
      case UNTIL_THEY_FAIL -> "Run to failure";
    };
  }

  /** How a pump is kept, in the hours it runs. */
  static String kept(Keeping k, double perHour) {
    return switch (k.way()) {
      case UNTIL_IT_FAILS -> "never";
      case LOOK -> "look " + hours(k.every() / perHour);
      case FIXED -> hours(k.every() / perHour);
    };
  }

  private static String hours(double h) {
    double step = h < 1000 ? 10 : 50;
    return Text.plain(Math.max(1, Math.round(h / step) * step));
  }

  /** What a year leaves out. */
  static String leaves(YearGround ground) {
    List<String> said = new ArrayList<>();
    if (ground.leftOut() > 0) {
      said.add(
          Text.count(ground.leftOut(), "pump")
              + " without a sheet "
              + (ground.leftOut() == 1 ? "is" : "are")
              + " left out: what a renewal takes is not known.");
    }
    if (ground.noPrice() > 0) {
      said.add(
          Text.count(ground.noPrice(), "pump")
              + (ground.noPrice() == 1 ? " counts" : " count")
              + " with labour alone, as today: the price of the kit is not known.");
    }
    return String.join(" ", said);
  }

  /** From which pumps most of a difference comes. */
  static String driving(List<YearView.YearDriver> drivers, double all) {
    if (drivers.isEmpty() || Math.abs(all) < 1) {
      return "";
    }
    List<YearView.YearDriver> same =
        drivers.stream().filter(d -> d.saves() * all > 0).limit(3).toList();
    double sum = same.stream().mapToDouble(YearView.YearDriver::saves).sum();
    List<String> tags = same.stream().map(YearView.YearDriver::pump).toList();
    return same.isEmpty()
        ? ""
        : and(tags)
            + (tags.size() == 1 ? " brings " : " bring ")
            + Math.round(100 * Math.min(1, sum / all))
            + " % of it.";
  }

  private static String and(List<String> names) {
    int last = names.size() - 1;
    return last == 0
        ? names.get(0)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }
}
