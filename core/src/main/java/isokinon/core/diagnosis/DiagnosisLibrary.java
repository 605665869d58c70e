package isokinon.core.diagnosis;

import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Part.Verdict;
import isokinon.core.sheet.Sheet;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What wear looks like and comes from, and what a pump does when something is wrong with it. The
 * chances are estimates of our own, to be outweighed by what a shop confirms.
 *
 * @param signatures what wear looks like
 * @param causes why parts wear
 * @param counters what is done against a cause
 * @param baseRates pseudo-counts of causes by family
 * @param evidence what duty, readings and age say of causes
 * @param faults what can be wrong with a pump
 * @param symptoms what a pump does
 * @param tests quick tests before the strip
 */
public record DiagnosisLibrary(
    List<Signature> signatures,
    List<Cause> causes,
    List<Counter> counters,
    Map<Family, Map<String, Double>> baseRates,
    List<Clue> evidence,
    List<Fault> faults,
    List<Symptom> symptoms,
    List<QuickTest> tests) {

  /** The cause of what was put together wrongly, as the table of causes names it. */
  private static final String ASSEMBLY = "wrong-assembly";

  private static final double ASSEMBLED_WRONG = 0.9;
  private static final double HANDLED = 0.7;
  private static final double NOT_HANDLED = 0.25;

  /**
   * A signature of wear.
   *
   * @param id kebab-case
   * @param title two or three words
   * @param say what to look for
   * @param outcome what a part that shows it is at best
   * @param words words of a sheet that mean it
   * @param byCause chance that a part worn by a cause shows it
   */
  public record Signature(
      String id,
      String title,
      String say,
      Verdict outcome,
      List<String> words,
      Map<String, Double> byCause) {

    /** As evidence: it was seen, or looked for and not there. */
    public Evidence evidence(boolean seen) {
      return new Evidence("sign:" + id, seen, byCause, 0.1);
    }
  }

  /**
   * Why parts wear.
   *
   * @param id kebab-case
   * @param title what it is called
   * @param say one sentence
   * @param mode failure mode it belongs to: fatigue, abrasion, chemical, handling
   * @param outside whether it may sit outside the pump
   * @param counters what is done against it, the first one first
   */
  public record Cause(
      String id, String title, String say, String mode, boolean outside, List<String> counters) {}

  /** What is done against a cause. */
  public record Counter(String id, String title, String say) {}

  /**
   * Something that duty, readings or age say.
   *
   * @param id kebab-case after its kind and a colon
   * @param say in words where it holds
   * @param against in words where it does not
   * @param byCause chance of it under each cause
   */
  public record Clue(String id, String say, String against, Map<String, Double> byCause) {

    /** As evidence: it holds, or does not. */
    public Evidence evidence(boolean holds) {
      return new Evidence(id, holds, byCause, 0.2);
    }
  }

  /**
   * Something that can be wrong with a pump.
   *
   * @param id kebab-case
   * @param family pumps it is known of
   * @param title what it is called
   * @param base its pseudo-count
   * @param cause what is most often behind it
   * @param parts ids of parts to reach, as the sheets of the family call them; empty where it sits
   *     outside the pump
   * @param signs chance of each symptom
   * @param tests chance that a test answers yes
   */
  public record Fault(
      String id,
      Family family,
      String title,
      double base,
      String cause,
      List<String> parts,
      Map<String, Double> signs,
      Map<String, Double> tests) {}

  /**
   * Something a pump does.
   *
   * @param drawing rhythm it is drawn with
   * @param otherwise chance of it where nothing named causes it
   * @param parts parts of which a pump has one that can show it; empty for every pump
   */
  public record Symptom(
      String id, String title, String say, String drawing, double otherwise, List<String> parts) {}

  /**
   * A quick test before the strip.
   *
   * @param how what to do
   * @param yes the answer that raises the faults that name it
   * @param no the other answer
   * @param otherwise chance of yes where nothing named causes it
   * @param limit what counts as yes, in a number; may be empty
   * @param caution what can hurt; may be empty
   * @param parts parts to be freed for it: their strip counts to its minutes; empty for none
   */
  public record QuickTest(
      String id,
      String title,
      String how,
      double minutes,
      TestChoice.Kind kind,
      String yes,
      String no,
      double otherwise,
      String limit,
      String caution,
      List<String> parts) {}

  /** The signature that words of a sheet mean: the one with the longest matching words. */
  public Optional<Signature> meantBy(String look) {
    String phrase = " " + look.toLowerCase(Locale.ROOT);
    return signatures.stream()
        .filter(s -> longest(s, phrase) > 0)
        .max(Comparator.comparingInt(s -> longest(s, phrase)));
  }

  private static int longest(Signature s, String phrase) {
    return s.words().stream()
        .filter(w -> phrase.contains(" " + w))
        .mapToInt(String::length)
        .max()
        .orElse(0);
  }

  /** The signature with this id. */
  public Optional<Signature> signature(String id) {
    return signatures.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  /** The cause with this id. */
  public Optional<Cause> cause(String id) {
    return causes.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** The counter-measure with this id. */
  public Optional<Counter> counter(String id) {
    return counters.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** What duty, readings or age say under this id. */
  public Optional<Clue> clue(String id) {
    return evidence.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /**
   * What can be wrong with the pump of a sheet, and is asked of it: a fault of a part it has not, a
   * symptom it cannot show and a test of what is not there are left out.
   */
  public DiagnosisLibrary on(Sheet sheet) {
    Set<String> there = sheet.parts().stream().map(Part::id).collect(Collectors.toSet());
    Predicate<List<String>> has = p -> p.isEmpty() || p.stream().anyMatch(there::contains);
    return new DiagnosisLibrary(
        signatures,
        causes,
        counters,
        baseRates,
        evidence,
        faults.stream().filter(f -> has.test(f.parts())).toList(),
        symptoms.stream().filter(s -> has.test(s.parts())).toList(),
        tests.stream().filter(t -> has.test(t.parts())).toList());
  }

  /** Faults known of a family. */
  public List<Fault> faults(Family family) {
    return faults.stream().filter(f -> f.family() == family).toList();
  }

  /** The fault with this id. */
  public Optional<Fault> fault(String id) {
    return faults.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** Symptoms that a fault of the family can cause. */
  public List<Symptom> symptoms(Family family) {
    return symptoms.stream()
        .filter(s -> faults(family).stream().anyMatch(f -> f.signs().containsKey(s.id())))
        .toList();
  }

  /** Tests that a fault of the family can answer. */
  public List<QuickTest> tests(Family family) {
    return tests.stream()
        .filter(t -> faults(family).stream().anyMatch(f -> f.tests().containsKey(t.id())))
        .toList();
  }

  /** What a symptom says of the faults of a family. */
  public Evidence evidence(Family family, Symptom symptom, boolean seen) {
    return new Evidence(
        symptom.id(), seen, named(family, symptom.id(), Fault::signs), symptom.otherwise());
  }

  /** What a test's answer says of the faults of a family. */
  public Evidence evidence(Family family, QuickTest test, boolean yes) {
    return new Evidence(test.id(), yes, named(family, test.id(), Fault::tests), test.otherwise());
  }

  /**
   * What it says that a pump does not prove right after its rebuild: that it sits where hands have
   * been, most of all a fault of assembly. The chances are estimates of our own.
   *
   * @param handled ids of parts that were off in the job
   */
  public Evidence justRebuilt(Family family, Collection<String> handled) {
    Map<String, Double> likelihood = new LinkedHashMap<>();
    for (Fault f : faults(family)) {
      if (f.parts().stream().anyMatch(handled::contains)) {
        likelihood.put(f.id(), f.cause().equals(ASSEMBLY) ? ASSEMBLED_WRONG : HANDLED);
      }
    }
    return new Evidence("just-rebuilt", true, likelihood, NOT_HANDLED);
  }

  private Map<String, Double> named(
      Family family, String id, Function<Fault, Map<String, Double>> of) {
    return faults(family).stream()
        .filter(f -> of.apply(f).containsKey(id))
        .collect(Collectors.toMap(Fault::id, f -> of.apply(f).get(id)));
  }

  /** Base rates of causes in a family, changed by what was confirmed here. */
  public Belief causesOf(Family family, Map<String, Integer> confirmed) {
    return Belief.of(baseRates.get(family), confirmed);
  }

  /** Base rates of faults in a family, changed by what was confirmed here. */
  public Belief faultsOf(Family family, Map<String, Integer> confirmed) {
    Map<String, Double> base = new LinkedHashMap<>();
    faults(family).forEach(f -> base.put(f.id(), f.base()));
    return Belief.of(base, confirmed);
  }
}
