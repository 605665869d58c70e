package isokinon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.core.diagnosis.DiagnosisLibrary.Fault;
import isokinon.core.diagnosis.DiagnosisLibrary.QuickTest;
import isokinon.core.diagnosis.DiagnosisLibrary.Symptom;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.value.Code;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The shipped tables: complete for every sheet, and right where the handbook of the trade is. */
class DiagnosisTest {

  private static final DiagnosisLibrary LIBRARY = ShippedDiagnosis.read();

  @Test
  void everyLookOfEverySheetHasADrawnSignature() {
    List<String> without =
        ShippedSheet.all().stream()
            .flatMap(s -> s.parts().stream().filter(p -> p.renew() == Part.Renew.INSPECT))
            .flatMap(p -> p.look().stream())
            .filter(l -> LIBRARY.meantBy(l).isEmpty())
            .distinct()
            .toList();
    assertThat(without).isEmpty();
  }

  @Test
  void everyPartOfAFaultIsFoundOnASheetOfItsFamily() {
    for (Fault f : LIBRARY.faults()) {
      List<String> parts =
          ShippedSheet.all().stream()
              .filter(s -> s.family() == f.family())
              .map(Sheet::parts)
              .flatMap(List::stream)
              .map(Part::id)
              .toList();
      assertThat(f.parts()).as(f.id()).allMatch(parts::contains);
    }
  }

  @Test
  void whatATestShowsIsASymptomOfItsPump() {
    List<String> unknown = new ArrayList<>();
    for (Sheet sheet : ShippedSheet.all()) {
      List<String> known =
          LIBRARY.on(sheet).symptoms(sheet.family()).stream().map(Symptom::id).toList();
      sheet
          .proof()
          .forEach(
              t ->
                  Stream.concat(t.shows().under().stream(), t.shows().over().stream())
                      .filter(s -> !known.contains(s))
                      .forEach(s -> unknown.add(sheet.id() + ", " + t.id() + ", " + s)));
    }
    assertThat(unknown).isEmpty();
  }

  @Test
  void onlyFaultsSymptomsAndTestsOfPartsThePumpHasAreAsked() {
    DiagnosisLibrary plain = LIBRARY.on(ShippedSheet.of("tube-push-in-8"));
    DiagnosisLibrary sensing = LIBRARY.on(ShippedSheet.of("tube-four-arm-16"));
    assertThat(plain.symptoms(Family.PERISTALTIC))
        .extracting(Symptom::id)
        .contains("dose-off")
        .doesNotContain("leak-alarm");
    assertThat(sensing.symptoms(Family.PERISTALTIC)).extracting(Symptom::id).contains("leak-alarm");
    assertThat(plain.faults(Family.PERISTALTIC))
        .extracting(Fault::id)
        .contains("tube-worn", "suction-shut")
        .doesNotContain("pins-dirty", "gap-wrong");
    assertThat(plain.tests(Family.PERISTALTIC))
        .extracting(QuickTest::id)
        .doesNotContain("wipe-pins");
  }

  @Test
  void whatFailsItsProofSitsMostLikelyWhereHandsHaveBeen() {
    DiagnosisLibrary known = LIBRARY.on(ShippedSheet.of("aodd-bolted-metal-40"));
    Belief before = known.faultsOf(Family.AIR_DIAPHRAGM, Map.of());
    Belief after =
        before.given(
            List.of(
                known.justRebuilt(Family.AIR_DIAPHRAGM, List.of("snap-ring-a", "inlet-balls"))));
    assertThat(after.of("pilot-ring-off") / before.of("pilot-ring-off"))
        .isGreaterThan(after.of("inlet-valve") / before.of("inlet-valve"))
        .isGreaterThan(1.5);
    assertThat(after.of("suction-air")).isLessThan(before.of("suction-air"));
  }

  @ParameterizedTest
  @CsvSource({
    "crack-at-plate, air-diaphragm, over-pressure|suction|age",
    "blister, air-diaphragm, attack",
    "burnt, progressing-cavity, dry-run",
    "torn-out, progressing-cavity, over-pressure|dry-run",
    "swollen, progressing-cavity, attack",
    "scored-round, magnetic-drive, dry-run|solids",
    "dry-gloss, magnetic-drive, dry-run",
    "oily-film, linear-diaphragm, air-quality",
    "thread-pulled, rotary-lobe, wrong-assembly",
  })
  void aSignaturePointsAtItsCause(String signature, String family, String causes) {
    Belief belief =
        LIBRARY
            .causesOf(Code.parse(Family.class, family).orElseThrow(), Map.of())
            .given(LIBRARY.signature(signature).orElseThrow().evidence(true));
    assertThat(causes.split("\\|")).contains(belief.ranked().get(0).id());
  }

  @Test
  void aTableThatPointsAtNothingIsRefusedByName() {
    assertThatThrownBy(
            () ->
                DiagnosisReader.read(
                    t ->
                        new StringReader(
                            t.equals("counters")
                                ? "counter,title,say\nstrainer,Strainer,Mend it\n"
                                : "cause,title,say,mode,outside,counters\nsolids,S,S,abrasion,yes,sieve\n")))
        .hasMessageContaining("solids")
        .hasMessageContaining("sieve");
  }

  /**
   * Pumps with a drawn fault, told by the symptoms that fault shows. The next best test is asked
   * until one fault stands at nine in ten; a checklist asks the same tests in the order of the
   * table, to the same end. Both are counted in minutes.
   */
  @ParameterizedTest
  @EnumSource(Family.class)
  void askingTheNextBestTestCostsLessThanAChecklist(Family family) {
    Random random = new Random(20260317L + family.ordinal());
    double best = 0;
    double list = 0;
    int bestRight = 0;
    int listRight = 0;
    int pumps = 600;
    for (int i = 0; i < pumps; i++) {
      Fault truth = drawn(family, random);
      Belief told = LIBRARY.faultsOf(family, Map.of());
      for (Symptom s : LIBRARY.symptoms(family)) {
        boolean shown = random.nextDouble() < truth.signs().getOrDefault(s.id(), s.otherwise());
        told = told.given(LIBRARY.evidence(family, s, shown));
      }
      Map<String, Boolean> answers = new java.util.HashMap<>();
      for (QuickTest t : LIBRARY.tests(family)) {
        answers.put(
            t.id(), random.nextDouble() < truth.tests().getOrDefault(t.id(), t.otherwise()));
      }
      Spent byWorth = asked(family, told, answers, true);
      Spent byList = asked(family, told, answers, false);
      best += byWorth.minutes;
      list += byList.minutes;
      bestRight += byWorth.says.equals(truth.id()) ? 1 : 0;
      listRight += byList.says.equals(truth.id()) ? 1 : 0;
    }
    System.out.printf(
        "%-20s next best test %5.2f min, right %4.1f %%; checklist %5.2f min, right %4.1f %%%n",
        family.code(),
        best / pumps,
        100.0 * bestRight / pumps,
        list / pumps,
        100.0 * listRight / pumps);
    assertThat(best).isLessThan(list);
    assertThat(bestRight).isGreaterThan((int) (listRight * 0.97));
  }

  private record Spent(double minutes, String says) {}

  private static Spent asked(
      Family family, Belief belief, Map<String, Boolean> answers, boolean byWorth) {
    List<QuickTest> left = new ArrayList<>(LIBRARY.tests(family));
    double minutes = 0;
    Belief now = belief;
    while (!left.isEmpty() && now.ranked().get(0).chance() < 0.9) {
      QuickTest next = left.get(0);
      if (byWorth) {
        TestChoice worth = TestChoice.ranked(now, asTests(family, left)).get(0);
        if (worth.gainBits() < TestChoice.LEAST_BITS) {
          break;
        }
        next =
            left.stream()
                .filter(t -> t.id().equals(worth.test().sign().id()))
                .findFirst()
                .orElseThrow();
      }
      left.remove(next);
      minutes += next.minutes();
      now = now.given(LIBRARY.evidence(family, next, answers.get(next.id())));
    }
    return new Spent(minutes, now.ranked().get(0).id());
  }

  private static List<TestChoice.Test> asTests(Family family, List<QuickTest> tests) {
    return tests.stream()
        .map(t -> new TestChoice.Test(LIBRARY.evidence(family, t, true), t.minutes(), t.kind()))
        .toList();
  }

  private static Fault drawn(Family family, Random random) {
    Belief base = LIBRARY.faultsOf(family, Map.of());
    double at = random.nextDouble();
    for (Fault f : LIBRARY.faults(family)) {
      at -= base.of(f.id());
      if (at <= 0) {
        return f;
      }
    }
    return Stream.of(LIBRARY.faults(family)).findFirst().orElseThrow().get(0);
  }
}
