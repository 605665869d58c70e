package isokinon.core.inspect;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Compared;
import isokinon.core.sheet.Part.Held;
import isokinon.core.sheet.Sheet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/** Readings of several parts held against each other: a clearance, rollers side by side. */
public final class ComparedReadings {

  private ComparedReadings() {}

  /**
   * What they make of a part: nothing as long as one of them is not read.
   *
   * @param sheet the sheet of the pump
   * @param part id of the part in hand
   * @param readings what was measured of a part, by measure, in the unit of its limit
   * @return one reason for each comparison that the part takes part in
   */
  public static List<Outcome.Reason> of(
      Sheet sheet, String part, Function<String, Map<String, Double>> readings) {
    return sheet.compared().stream()
        .filter(c -> c.has(part))
        .map(c -> new Read(c, values(c, readings)))
        .filter(r -> r.values.size() == r.compared.of().size())
        .map(Read::reason)
        .toList();
  }

  private static List<Double> values(Compared c, Function<String, Map<String, Double>> readings) {
    return c.of().stream()
        .map(m -> readings.apply(m.part()).get(m.measure()))
        .filter(Objects::nonNull)
        .toList();
  }

  private record Read(Compared compared, List<Double> values) {

    Outcome.Reason reason() {
      double value = compared.value(values);
      Part.Verdict verdict = compared.judge(value);
      String together =
          verdict == Part.Verdict.RENEW
              ? compared.held() == Held.DIFFERENCE ? ": renew the pair." : ": renew the set."
              : ".";
      return new Outcome.Reason(
          verdict,
          compared.title()
              + " "
              + Outcome.plain(value)
              + " "
              + compared.unit()
              + ", watch from "
              + Outcome.plain(compared.watch())
              + ", renew from "
              + Outcome.plain(compared.renew())
              + together);
    }
  }
}
