package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.torque.ClampForce;
import isokinon.core.torque.ThreadFinish;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Traps of each construction stand as a check or a caution at the step where they bite. */
class ShippedTrapsTest {

  private static Stream<String> said(Handling how) {
    return Stream.of(
            how.checks().stream().map(Handling.Check::ask),
            how.cautions().stream().map(Handling.Caution::say),
            how.apply().stream().map(Handling.Apply::what),
            how.power().stream())
        .flatMap(s -> s);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          aodd-bolted-plastic-25 | captive-screws-in | captive screws
          aodd-bolted-plastic-25 | spool-out | large end
          aodd-bolted-plastic-25 | spool-out | toward the middle
          aodd-bolted-plastic-25 | slide-out | hollow side out
          aodd-bolted-plastic-25 | slide-out | polished side
          aodd-bolted-plastic-25 | diaphragm-a-off | radius of inner plate
          aodd-bolted-plastic-25 | outlet-valves-out | square side
          aodd-bolted-plastic-25 | outlet-valves-out | without a scratch
          aodd-bolted-plastic-25 | fluid-cap-a-off | ball-cage end
          aodd-bolted-plastic-25 | diaphragm-a-off | two long bolts
          aodd-bolted-plastic-25 | outlet-manifold-off | undoing only
          aodd-bolted-metal-40 | pilot-ring-b-off | pushed fully over
          aodd-bolted-metal-40 | pilot-ring-a-off | sharp edge
          aodd-bolted-metal-40 | pilot-ring-a-off | first strokes
          aodd-bolted-metal-40 | bleed-blown | bleed port
          aodd-bolted-metal-40 | valve-off | notch
          aodd-bolted-metal-40 | diaphragm-b-off | never force
          aodd-bolted-metal-40 | diaphragm-a-off | shoulder
          aodd-bolted-metal-40 | chamber-b-off | under 1 bar
          aodd-bolted-metal-40 | outlet-valves-out | O-ring down
          aodd-bolted-metal-40 | outlet-manifold-off | half of the error
          linear-twin-diaphragm-80 | upper-housing-off | earth lead
          linear-twin-diaphragm-80 | core-lid-off | too long a screw
          linear-twin-diaphragm-80 | diaphragm-a-off | fingers clear
          linear-twin-diaphragm-80 | diaphragm-a-off | opening of diaphragm
          linear-twin-diaphragm-80 | spacers-in | pulled and counted
          linear-twin-diaphragm-80 | hose-a-off | clip ears
          linear-twin-diaphragm-80 | switch-set | will not start
          linear-twin-diaphragm-80 | filter-out | process gas coming back
          oil-two-piston-50 | sleeve-a-out | straight up, one straight down
          oil-two-piston-50 | oil-in | non-detergent
          oil-two-piston-50 | oil-out | milky
          oil-two-piston-50 | side-a-closed | other side still open
          oil-two-piston-50 | diaphragm-a-off | toward the oil
          tube-push-in-8 | rollers-out | never by mouth
          tube-push-in-8 | head-cleaned | wholly dry
          tube-push-in-8 | rollers-out | no oil, no grease
          tube-push-in-8 | tube-out | contact strip
          tube-push-in-8 | tube-out | tight bends
          tube-push-in-8 | tube-tested | no bubble
          tube-push-in-8 | head-off | motor is in danger
          tube-four-arm-16 | arm-1-out | 9 o'clock
          tube-four-arm-16 | arm-2-out | like opposite like
          tube-four-arm-16 | arms-cleaned | spins free
          tube-four-arm-16 | rotor-off | high-temperature grease
          tube-four-arm-16 | controller-told | 0 h
          tube-four-arm-16 | pins-wiped | sensor pins
          hose-shoe-40 | shoe-1-off | shims
          hose-shoe-40 | lubricant-out | glycerine
          cavity-pin-joint-40 | stator-off | never oil or mineral grease
          cavity-pin-joint-40 | stator-off | recess
          cavity-pin-joint-40 | stator-off | key
          cavity-pin-joint-40 | casing-off | stand or sling
          cavity-pin-joint-40 | rotor-joint | sleeve jams
          cavity-pin-joint-40 | sleeve-off | bevel
          cavity-pin-joint-40 | packing-out | quarter turn apart
          cavity-pin-joint-40 | packing-out | drip
          cavity-pin-joint-40 | nut-off | cannot be turned by hand
          cavity-pin-joint-40 | shaft-out | outer races
          cavity-pin-joint-40 | bearings-off | inner race
          cavity-pin-joint-40 | snap-ring-out | whole groove
          cavity-pin-joint-40 | rod-dressed | once both ends are pinned
          cavity-hopper-auger-50 | seal-off | lapped face to the drive end
          cavity-hopper-auger-50 | flinger-off | open side
          cavity-hopper-auger-50 | pressed-again | drawn it off
          cavity-hopper-auger-50 | rotor-off | flush
          cavity-hopper-auger-50 | discharge-off | nothing abrasive
          cavity-threaded-stator-25 | box-emptied | lantern ring
          cavity-threaded-stator-25 | key-out | lip of the cover
          cavity-quick-change-40 | unit-back | back by
          magnetic-plastic-12 | outer-magnet-off | never a lever
          magnetic-plastic-12 | outer-magnet-off | on the keyway
          magnetic-plastic-12 | thrust-out | matt face
          magnetic-plastic-12 | bushing-out | square
          magnetic-plastic-12 | bracket-off | opposite the ports
          magnetic-metal-50 | cover-off | shell lying
          magnetic-metal-50 | shaft-out | standing
          magnetic-metal-50 | cover-made-up | pin is tiny
          magnetic-metal-50 | rotor-stacked | visible end
          magnetic-metal-50 | rotor-apart | toward the thread
          magnetic-metal-50 | wet-end-off | up marks
          magnetic-metal-50 | wet-end-off | fingers out of the gap
          magnetic-heavy-frame-80 | hub-off | hit on the rim
          magnetic-heavy-frame-80 | wet-end-off | guard tube out
          magnetic-heavy-frame-80 | adapter-warmed | never a flame
          magnetic-vessel-drive-5 | shaft-unscrewed | pinched
          magnetic-vessel-drive-5 | cover-off | proven so
          magnetic-vessel-drive-5 | jacket-off | whole hand clear
          magnetic-vessel-drive-5 | impellers-off | collar and face
          mixer-levitated-3 | clamp-off | support it before
          mixer-levitated-3 | impeller-out | magnets up
          mixer-levitated-3 | bearing-in-tool | water only
          mixer-levitated-3 | bearing-out | full stop
          lobe-composite-50 | blocked | never metal
          lobe-composite-50 | sleeve-upper-off | dark film
          lobe-composite-50 | seal-upper-out | on its pin
          lobe-composite-50 | rotor-upper-off | missing spline
          lobe-composite-50 | retainers-off | two torques
          lobe-face-seal-40 | bolts-off | burr
          lobe-face-seal-40 | bolts-off | flattened
          lobe-face-seal-40 | rotor-upper-off | shallower spline
          lobe-face-seal-40 | seal-upper-out | nothing abrasive
          """)
  void theTrapIsToldWhereItBites(String sheet, String step, String trap) {
    Handling how = ShippedSheet.of(sheet).handling(step).orElseThrow();
    assertThat(said(how)).anySatisfy(s -> assertThat(s).containsIgnoringCase(trap));
  }

  static List<String> sheets() {
    return ShippedSheet.ids();
  }

  /** A vacuum holds a cover as pressure does, and an acid hurts as an alkali does. */
  @ParameterizedTest
  @MethodSource("sheets")
  void noTwoStepsAreSaidInOneSentence(String id) {
    Sheet sheet = ShippedSheet.of(id);
    assertThat(sheet.steps()).extracting(Step::strip).doesNotHaveDuplicates();
    assertThat(
            Stream.concat(
                    sheet.steps().stream().filter(s -> !s.stripOnly()).map(Step::build),
                    sheet.buildOnly().stream().map(BuildOnlyStep::build))
                .toList())
        .doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @MethodSource("sheets")
  void anEnergyIsGoneOnlyBetweenItsLimits(String id) {
    for (Sheet.Hazard h : ShippedSheet.of(id).hazards()) {
      switch (h.unit()) {
        case "pH" ->
            assertThat(Stream.of(1.0, 5.9, 7.0, 9.0, 12.0).filter(h::passes))
                .as(h.id())
                .containsExactly(7.0, 9.0);
        case "bar" ->
            assertThat(Stream.of(-0.8, 0.0, 0.3).filter(h::passes)).as(h.id()).containsExactly(0.0);
        case "mbar" ->
            assertThat(Stream.of(-800.0, 0.0, 300.0).filter(h::passes))
                .as(h.id())
                .containsExactly(0.0);
        default ->
            assertThat(h.kind() == Handling.Answer.CONFIRM || h.unit().equals("degC"))
                .as(h.id())
                .isTrue();
      }
    }
  }

  /** A dry value on a pasted thread is too much for a stainless screw. */
  @ParameterizedTest
  @MethodSource("sheets")
  void noJointPullsAStainlessScrewOverItsProofStress(String id) {
    Sheet sheet = ShippedSheet.of(id);
    Stream.concat(
            sheet.steps().stream().map(Step::how),
            sheet.buildOnly().stream().map(BuildOnlyStep::how))
        .flatMap(h -> h.fastenings().stream())
        .filter(f -> !f.bySign())
        .forEach(
            f -> {
              ThreadFinish finish = ThreadFinish.of(f.threads()).orElseThrow();
              ClampForce.diameterMm(f.thread())
                  .map(d -> ClampForce.newtons(f.maxNm(), d, finish))
                  .flatMap(n -> ClampForce.stressMpa(f.thread(), n))
                  .ifPresent(
                      mpa ->
                          assertThat(mpa)
                              .as("%s %s %s N·m", f.thread(), f.threads(), f.maxNm())
                              .isLessThanOrEqualTo(ClampForce.A4_70_MPA));
            });
  }

  /** Someone who has never seen the pump must be able to do it. */
  @ParameterizedTest
  @MethodSource("sheets")
  void aSheetIsComplete(String id) {
    Sheet sheet = ShippedSheet.of(id);
    assertThat(sheet.note()).contains("no maker's values");
    assertThat(sheet.hazards()).hasSizeGreaterThanOrEqualTo(3);
    assertThat(sheet.proof()).hasSizeGreaterThanOrEqualTo(3);
    assertThat(sheet.kits()).isNotEmpty();
    assertThat(sheet.parts()).allSatisfy(p -> assertThat(p.place()).isPresent());
    assertThat(sheet.steps()).allSatisfy(s -> assertThat(s.minutes()).isPositive());
    assertThat(sheet.parts().stream().filter(p -> p.renew() == Part.Renew.INSPECT))
        .filteredOn(p -> p.onlyFor().isEmpty())
        .allSatisfy(p -> assertThat(p.look()).as(p.id()).isNotEmpty());
    List<Handling.Fastening> joints =
        sheet.steps().stream().flatMap(s -> s.how().fastening().stream()).toList();
    assertThat(joints).allSatisfy(j -> assertThat(j.bySign() || j.maxNm() > j.minNm()).isTrue());
  }

  /** What needs power says who stands clear, and isolation is confirmed again after it. */
  @ParameterizedTest
  @CsvSource({"tube-four-arm-16, arm-1-out", "hose-shoe-40, hose-out"})
  void powerIsAskedForBeforeAndTakenAwayAfter(String sheet, String step) {
    List<Handling.Check> checks = ShippedSheet.of(sheet).handling(step).orElseThrow().checks();
    assertThat(checks.get(0).about()).isEqualTo(Handling.About.POWER);
    List<String> asked =
        checks.stream()
            .filter(c -> c.about() != Handling.About.STEP)
            .map(c -> c.ask().contains("isolated and locked again") ? "locked" : c.about().code())
            .toList();
    int locked = asked.indexOf("locked");
    assertThat(locked).isPositive();
    assertThat(asked.subList(0, locked)).as("hands go in after the lock").doesNotContain("mark");
    assertThat(checks)
        .filteredOn(c -> c.about() != Handling.About.STEP)
        .allSatisfy(c -> assertThat(c.hold()).isTrue());
  }
}
