package isokinon.core.inspect;

import isokinon.core.diagnosis.DiagnosisLibrary.Signature;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Edge;
import isokinon.core.sheet.Part.Limit;
import isokinon.core.sheet.Part.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What readings and signatures make of a part: the worst of them decides.
 *
 * @param verdict sound, watch or renew
 * @param because one sentence for each reading and signature, the worst first
 */
public record Outcome(Verdict verdict, List<String> because) {

  /** What one reading or signature makes of a part, in a sentence. */
  public record Reason(Verdict verdict, String say) {}

  /**
   * The outcome of a part.
   *
   * @param part the part with its limits
   * @param readings what was measured, by measure, in the unit of the limit
   * @param seen signatures of wear it shows
   * @param compared what readings held against those of other parts make of it
   */
  public static Outcome of(
      Part part, Map<String, Double> readings, List<Signature> seen, List<Reason> compared) {
    List<Reason> reasons = new ArrayList<>(compared);
    for (Limit l : part.limits()) {
      Double value = readings.get(l.measure());
      if (value != null) {
        reasons.add(new Reason(l.judge(value), say(l, value)));
      }
    }
    for (Signature s : seen) {
      boolean renew = s.outcome() == Verdict.RENEW;
      boolean here = part.condemns().contains(s.id());
      reasons.add(
          new Reason(
              here ? Verdict.RENEW : s.outcome(),
              s.title()
                  + (renew
                      ? ": renewed wherever it shows."
                      : here
                          ? ": on this part it is renewed."
                          : ": goes back only to be watched.")));
    }
    reasons.sort((a, b) -> b.verdict().compareTo(a.verdict()));
    return new Outcome(
        reasons.isEmpty() ? Verdict.SOUND : reasons.get(0).verdict(),
        reasons.stream().map(Reason::say).toList());
  }

  private static String say(Limit l, double value) {
    String measure = l.measure().replace('-', ' ');
    String name = measure.substring(0, 1).toUpperCase(Locale.ROOT) + measure.substring(1);
    Edge edge = l.toward(value);
    String toWatch = plain(Math.abs(l.size(value) - edge.watch()));
    String toRenew = plain(Math.abs(l.size(value) - edge.renew()));
    String unit = " " + l.unit();
    if (toRenew.equals("0") || toWatch.equals("0")) {
      return name + " is at the " + l.judge(value).code() + " limit.";
    }
    return switch (l.judge(value)) {
      case RENEW -> name + " is " + toRenew + unit + " past the renew limit.";
      case WATCH ->
          name + " is " + toWatch + unit + " into watch, " + toRenew + unit + " before renew.";
      case SOUND -> name + " is " + toWatch + unit + " clear of watch.";
    };
  }

  /** A number to three places, without zeros behind it. */
  static String plain(double value) {
    return String.format(Locale.ROOT, "%.3f", value).replaceAll("0+$", "").replaceAll("\\.$", "");
  }
}
