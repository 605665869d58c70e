package isokinon.core.ahead;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.act.Act;
import isokinon.core.act.BenchEvent;
import isokinon.core.act.JobAct;
import isokinon.core.act.Measurement;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.act.Reading;
import isokinon.core.act.Stage;
import isokinon.core.act.StepAct;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.rules.ActRefusal;
import isokinon.core.rules.Actor;
import isokinon.core.rules.BenchRules;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.reading.SheetReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is worked out ahead is what the rules say when it comes. */
class AheadTest {

  private static final Instant NOW = Instant.parse("2026-03-17T08:00:00Z");
  private static final Actor RT = Actor.licensed("RT");

  /** A pump with two people at one check, for where the server is needed. */
  private static final Sheet TWO_PEOPLE =
      SheetReader.forComputing()
          .read(
              """
              id: pump
              parts: [{id: shaft, role: shaft, renew: keep}, {id: rotor}]
              steps:
                - id: rotor-out
                  frees: [rotor]
                  stripMinutes: 1
                  checks: [{id: safe, ask: Safe, hold: true, second: true}]
              """)
          .orThrow();

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  private static Rebuild takenIn(Sheet sheet, List<String> renew, List<String> inspect) {
    return plus(
        Rebuild.replay(sheet, new Fitted("none", "EPDM"), List.of()),
        new JobAct.TakenIn(renew, inspect, List.of(), List.of(), "due"));
  }

  private static Rebuild plus(Rebuild rebuild, Act act) {
    return rebuild.plus(new BenchEvent<>(rebuild.seq() + 1, NOW, "RT", false, act));
  }

  /** One material for every role, then one lot for all. */
  private static Optional<Act> choice(Rebuild rebuild) {
    Optional<Act> material =
        rebuild.rolesToChoose().stream()
            .filter(r -> rebuild.material(r).isEmpty())
            .findFirst()
            .map(r -> new PartAct.MaterialChosen(r, "EPDM", ""));
    List<String> open = rebuild.renewing().stream().filter(p -> rebuild.lot(p).isEmpty()).toList();
    return material.or(
        () ->
            open.isEmpty()
                ? Optional.empty()
                : Optional.of(new PartAct.KitFitted("L-0417", open, Map.of(), "")));
  }

  private static List<Situation> ahead(Rebuild rebuild) {
    return Ahead.of(rebuild, RT, NOW, AheadTest::choice);
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void aWholeJobIsWorkedOutAndEveryReadingLeadsWhereTheRulesLead(String id) {
    Sheet sheet = ShippedSheet.of(id);
    Rebuild whole = takenIn(sheet, List.copyOf(sheet.kits().get(0).parts().keySet()), List.of());
    List<Situation> ahead = ahead(whole);
    Random random = new Random(20_261_129);

    Rebuild rebuild = whole;
    int at = 0;
    while (!ahead.get(at).possible().isEmpty()) {
      Situation now = ahead.get(at);
      assertThat(now.rebuild().stage()).isEqualTo(rebuild.stage());
      List<Possible> anyOrder =
          new ArrayList<>(now.possible().stream().filter(AheadTest::carries).toList());
      Collections.shuffle(anyOrder, random);
      for (Possible p : now.possible()) {
        agrees(now.rebuild(), p, random);
      }
      for (Possible p : anyOrder) {
        assertThat(BenchRules.refuse(rebuild, p.act(), RT, NOW)).isEmpty();
        rebuild = plus(rebuild, p.act());
      }
      at = anyOrder.stream().mapToInt(Possible::then).max().orElseThrow();
      assertThat(ahead.get(at).rebuild().currentStep()).isEqualTo(rebuild.currentStep());
    }
    String waits = ahead.get(at).waits();
    if (!waits.startsWith("A second person looks as well")) {
      assertThat(rebuild.stage()).as(waits).isEqualTo(Stage.HAND_BACK);
      assertThat(waits).isEqualTo("Hand back goes on with the server.");
    }
  }

  /** Sound is the usual verdict; watch and renew are other answers to the same question. */
  private static boolean carries(Possible p) {
    return !(p.act() instanceof PartAct.Judged j) || j.verdict() == Part.Verdict.SOUND;
  }

  /** Readings near and far, and those at the limits themselves, lead where the rules say. */
  private static void agrees(Rebuild rebuild, Possible p, Random random) {
    for (Band band : p.bands()) {
      double least = band.least().orElse(band.most().orElse(0.0) - 3);
      double most = band.most().orElse(band.least().orElse(0.0) + 3);
      for (double share : new double[] {0, random.nextDouble(), 1}) {
        double value = least + share * (most - least);
        Band found = band(p, band.measure(), value);
        Act act = reading(p.act(), band.measure(), value);
        Optional<ActRefusal> refused = BenchRules.refuse(rebuild, act, RT, NOW);
        assertThat(found.outcome() == Band.Outcome.REFUSED)
            .as("%s at %s: %s, and %s", act, value, found, refused)
            .isEqualTo(refused.isPresent());
        if (refused.isPresent() && found.say().contains(Band.TYPED)) {
          assertThat(found.say()).doesNotContain(String.valueOf(value));
        }
      }
    }
  }

  private static Band band(Possible p, String measure, double value) {
    return p.bands().stream()
        .filter(b -> b.measure().equals(measure))
        .filter(b -> b.least().map(l -> value >= l).orElse(true))
        .filter(b -> b.most().map(m -> value <= m).orElse(true))
        .findFirst()
        .orElseThrow(() -> new AssertionError(p + " has no band for " + value));
  }

  private static Act reading(Act act, String measure, double value) {
    Optional<Reading> reading = Optional.of(new Reading(value, "mm"));
    if (act instanceof JobAct.ProvedSafe a) {
      return new JobAct.ProvedSafe(a.hazard(), a.reading().flatMap(r -> reading));
    }
    if (act instanceof StepAct.Checked a) {
      return new StepAct.Checked(a.step(), a.check(), a.reading().flatMap(r -> reading), "");
    }
    if (act instanceof StepAct.TorqueRead a) {
      return new StepAct.TorqueRead(
          a.step(), a.pass(), a.fastener(), value, false, Optional.empty());
    }
    if (act instanceof ProofAct.Proved a) {
      return new ProofAct.Proved(a.test(), a.reading().flatMap(r -> reading), Optional.empty(), "");
    }
    PartAct.Judged a = (PartAct.Judged) act;
    return new PartAct.Judged(
        a.part(),
        a.verdict(),
        measure.isEmpty()
            ? List.of()
            : List.of(new Measurement(measure, reading.orElseThrow(), Optional.empty())),
        List.of(),
        "");
  }

  @Test
  void aReadingOutOfRangeStaysAtItsBoltAndASlipIsRefused() {
    List<Situation> ahead =
        ahead(takenIn(ShippedSheet.boltedPlastic(), List.of("diaphragm-a"), List.of()));
    Possible bolt =
        ahead.stream()
            .flatMap(s -> s.possible().stream())
            .filter(p -> p.act() instanceof StepAct.TorqueRead)
            .findFirst()
            .orElseThrow();
    StepAct.TorqueRead act = (StepAct.TorqueRead) bolt.act();
    double most =
        ShippedSheet.boltedPlastic().fastening(act.step()).map(f -> f.maxNm()).orElseThrow();
    assertThat(band(bolt, "", most).outcome()).isEqualTo(Band.Outcome.GOES_ON);
    assertThat(band(bolt, "", most + 0.1).outcome()).isEqualTo(Band.Outcome.STAYS);
    assertThat(band(bolt, "", most + 0.1).say())
        .isEqualTo("Bolt " + act.fastener() + " is over at {typed} N·m.");
    assertThat(band(bolt, "", 4 * most).outcome()).isEqualTo(Band.Outcome.STAYS);
    assertThat(band(bolt, "", 4 * most + 0.001).outcome()).isEqualTo(Band.Outcome.REFUSED);
  }

  @Test
  void whereASecondPersonSignsItEndsWithTheSentenceOfTheRule() {
    Rebuild safe = takenIn(TWO_PEOPLE, List.of(), List.of("rotor"));
    for (String c : Rebuild.CONFIRMATIONS.keySet()) {
      safe = plus(safe, new JobAct.Confirmed(c));
    }
    List<Situation> ahead = ahead(plus(safe, new JobAct.StageDone(Stage.MAKE_SAFE)));
    Situation first = ahead.get(ahead.size() - 2);
    assertThat(first.possible()).hasSize(1);
    assertThat(first.possible().get(0).bands().get(0).outcome()).isEqualTo(Band.Outcome.STAYS);
    Situation last = ahead.get(ahead.size() - 1);
    assertThat(last.possible()).isEmpty();
    assertThat(last.waits()).isEqualTo("A second person looks as well: Safe.");
  }

  @Test
  void whatIsFoundBadIsForTheServerToWorkOut() {
    Rebuild rebuild = takenIn(ShippedSheet.boltedPlastic(), List.of("diaphragm-a"), List.of());
    List<Possible> judging =
        ahead(rebuild).stream()
            .filter(s -> s.rebuild().stage() == Stage.INSPECT && !s.possible().isEmpty())
            .findFirst()
            .orElseThrow()
            .possible();
    assertThat(judging).hasSizeGreaterThan(3);
    assertThat(judging)
        .allSatisfy(
            p ->
                assertThat(p.later().isEmpty())
                    .isEqualTo(((PartAct.Judged) p.act()).verdict() != Part.Verdict.RENEW));
  }
}
