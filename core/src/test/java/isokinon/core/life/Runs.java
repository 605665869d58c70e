package isokinon.core.life;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/** Runs for the tests, written or drawn. */
final class Runs {

  static final String A = "1210 1875 2040* 2365 2610 2890 3300* 3300* 3300* 3740";
  static final String B = "640 700* 700* 810 905 1100* 1100* 1240";

  private Runs() {}

  /** Ages; a star behind one taken out sound. */
  static List<Run> written(String ages) {
    return Arrays.stream(ages.split(" "))
        .map(a -> new Run(Double.parseDouble(a.replace("*", "")), !a.endsWith("*")))
        .toList();
  }

  /** Runs of a Weibull life of scale 1000, changed sound between 400 and 1300. */
  static List<Run> drawn(SplittableRandom random, int count, double shape) {
    List<Run> runs = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double fails = 1000 * Math.pow(-Math.log(1 - random.nextDouble()), 1 / shape);
      double changed = 400 + 900 * random.nextDouble();
      runs.add(new Run(Math.min(fails, changed), fails < changed));
    }
    return runs;
  }

  /** The same runs, each moved to another place once on its way. */
  static List<Run> moved(SplittableRandom random, List<Run> runs) {
    List<Run> stints = new ArrayList<>();
    for (Run r : runs) {
      double at = r.age() * (0.1 + 0.8 * random.nextDouble());
      stints.add(new Run(0, at, false));
      stints.add(new Run(at, r.age(), r.failed()));
    }
    return stints;
  }
}
