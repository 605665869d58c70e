package isokinon.server.folder;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Which backups are kept: those of seven days, the last of four weeks, the last of twelve months.
 */
final class KeptBackups {

  private static final int DAYS = 7;
  private static final int WEEKS = 4;
  private static final int MONTHS = 12;

  private KeptBackups() {}

  /** The days to keep, of the days there are backups of. */
  static Set<LocalDate> of(Collection<LocalDate> days) {
    List<LocalDate> newestFirst =
        new TreeSet<>(days).stream().sorted(Comparator.reverseOrder()).toList();
    Set<LocalDate> kept = new HashSet<>();
    newestOfEach(newestFirst, d -> d, DAYS, kept);
    newestOfEach(
        newestFirst,
        d -> d.get(IsoFields.WEEK_BASED_YEAR) * 100 + d.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR),
        WEEKS,
        kept);
    newestOfEach(newestFirst, YearMonth::from, MONTHS, kept);
    return kept;
  }

  private static void newestOfEach(
      List<LocalDate> newestFirst,
      Function<LocalDate, Object> period,
      int most,
      Set<LocalDate> to) {
    Set<Object> seen = new HashSet<>();
    for (LocalDate day : newestFirst) {
      if (seen.size() < most && seen.add(period.apply(day))) {
        to.add(day);
      }
    }
  }
}
