package isokinon.core.consumable;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.rebuild.Fitted;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.OnlyFor;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.reading.SheetReader;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Greases, oils and soaps are held against every rubber they get to. */
class LubricatedTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();

  /** Every attack in a pump with this wearing set, and with {@code others} by role. */
  private static Stream<String> attacks(Sheet sheet, Fitted fitted, Map<String, String> others) {
    Rebuild job = Rebuild.replay(sheet, fitted, List.of());
    Lubricated lubricated = new Lubricated(job, others);
    return Stream.concat(
            job.sheet().steps().stream().map(Step::id),
            job.sheet().buildOnly().stream().map(BuildOnlyStep::id))
        .flatMap(
            step ->
                job.sheet().handling(step).orElse(Handling.PLAIN).during(false).apply().stream()
                    .flatMap(a -> lubricated.attacks(step, a, LIBRARY).stream())
                    .map(a -> said(sheet, step, a)));
  }

  private static String said(Sheet sheet, String step, Lubricated.Attack a) {
    return String.join(
        " ",
        sheet.id(),
        step,
        a.row().fluid(),
        a.row().material(),
        "on",
        ids(a.on()),
        "near",
        ids(a.near()));
  }

  private static String ids(List<Part> parts) {
    return parts.stream().map(Part::id).collect(Collectors.joining(" "));
  }

  @Test
  void onTheShippedSheetsTheyAttackTheseAndNoOther() {
    Set<String> attacks = new TreeSet<>();
    for (Sheet sheet : ShippedSheet.all()) {
      for (Material m : LIBRARY.materials()) {
        m.roles()
            .forEach(
                role -> attacks(sheet, new Fitted(role, m.code()), Map.of()).forEach(attacks::add));
      }
    }
    String plastic = "aodd-bolted-plastic-25";
    String pin = "cavity-pin-joint-40";
    Set<String> expected = new TreeSet<>();
    for (String boot : List.of("EPDM", "EPDM-S", "IIR")) {
      expected.add(pin + " rotor-joint mineral-grease " + boot + " on rotor-cover-sleeve near ");
      expected.add(pin + " shaft-joint mineral-grease " + boot + " on shaft-cover-sleeve near ");
      expected.add("cavity-quick-change-40 boot-off mineral-grease " + boot + " on boot near ");
      String threaded = "cavity-threaded-stator-25 ";
      expected.add(threaded + "collar-off mineral-grease " + boot + " on pin-washers near ");
      expected.add(threaded + "band-off mineral-grease " + boot + " on rod-washers near ");
    }
    expected.addAll(
        List.of(
            plastic + " outlet-manifold-off silicone-grease VMQ on outlet-manifold-orings near ",
            plastic + " outlet-valves-out silicone-grease VMQ on outlet-seat-orings near ",
            plastic + " inlet-manifold-off silicone-grease VMQ on inlet-manifold-orings near ",
            plastic + " inlet-valves-out silicone-grease VMQ on inlet-seat-orings near ",
            // Grease for the lip seal of the cover gets to the O-ring beside it.
            pin + " cover-off mineral-grease EPDM on  near cover-oring",
            pin + " cover-off silicone-grease VMQ on cover-oring near ",
            pin + " sleeve-off silicone-grease VMQ on sleeve-oring near ",
            "magnetic-vessel-drive-5 cap-off silicone-grease VMQ on cap-oring near ",
            "magnetic-vessel-drive-5 cooling-jacket-off silicone-grease VMQ on jacket-orings near ",
            "oil-two-piston-50 head-off mineral-oil EPDM on inlet-valve-orings outlet-valve-orings"
                + " near "));
    assertThat(attacks).isEqualTo(expected);
  }

  @Test
  void whatGoesBackIsOfTheMaterialThatWasInThePump() {
    Sheet lobe = ShippedSheet.of("lobe-composite-50");
    Fitted fkm = new Fitted("lobe-seal", "FKM");
    assertThat(attacks(lobe, fkm, Map.of("o-ring", "FKM"))).isEmpty();
    assertThat(attacks(lobe, fkm, Map.of("o-ring", "VMQ")))
        .contains("lobe-composite-50 cover-off silicone-grease VMQ on cover-oring near ");
  }

  @Test
  void aPartOfFixedMaterialIsReachedWithoutARole() {
    String sheet =
        """
        {id: x, parts: [{id: arm}, {id: tube, material: silicone tube}],
         steps: [{id: s, frees: [arm], apply: [{what: silicone oil, to: arm, reaches: [tube]}]},
                 {id: t, frees: [tube]}]}
        """;
    assertThat(
            attacks(
                SheetReader.forComputing().read(sheet).orThrow(),
                new Fitted("tube", "EPDM tube"),
                Map.of()))
        .containsExactly("x s silicone-grease silicone tube on  near tube");
  }

  @Test
  void everyMaterialASheetSpeaksOfIsOneThatItsPartsCanBeOf() {
    for (Sheet sheet : ShippedSheet.all()) {
      Set<String> roles =
          sheet.parts().stream().flatMap(p -> p.role().stream()).collect(Collectors.toSet());
      assertThat(spokenOf(sheet).toList())
          .as(sheet.id())
          .allMatch(
              m -> LIBRARY.material(m).orElseThrow().roles().stream().anyMatch(roles::contains));
      assertThat(sheet.parts().stream().flatMap(p -> p.material().stream()).toList())
          .as(sheet.id())
          .allMatch(m -> LIBRARY.material(m).isPresent());
    }
  }

  private static Stream<String> spokenOf(Sheet sheet) {
    Stream<Handling> how =
        Stream.concat(
            sheet.steps().stream().map(Step::how),
            sheet.buildOnly().stream().map(BuildOnlyStep::how));
    Stream<OnlyFor> held =
        how.flatMap(
            h ->
                Stream.of(
                        Stream.of(h.onlyFor()),
                        h.apply().stream().map(Handling.Apply::onlyFor),
                        h.cautions().stream().map(Handling.Caution::onlyFor),
                        h.checks().stream().map(Handling.Check::onlyFor))
                    .flatMap(s -> s));
    return Stream.of(
            held.flatMap(o -> Stream.concat(o.materials().stream(), o.notMaterials().stream())),
            sheet.parts().stream().flatMap(p -> p.onlyFor().stream()))
        .flatMap(s -> s);
  }
}
