package isokinon.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

/** What cannot be, looked for in every row of the library as shipped. */
class LibraryFlagsTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();

  /** Fluids that are water with something in it; strong acids, glycols and glycerine are not. */
  private static final Set<String> WATERY =
      Set.of(
          "scour-liquor",
          "caustic-soda",
          "hydrochloric-acid",
          "nitric-acid",
          "hydrofluoric-acid",
          "sodium-hypochlorite",
          "hydrogen-peroxide",
          "sodium-bisulphite",
          "polymer-flocculant",
          "lime-slurry",
          "sludge-with-grit",
          "lime-dosed-sludge",
          "detergent",
          "dye-slurry",
          "reactive-dye",
          "demineralised-water",
          "seawater",
          "silicone-softener",
          "cationic-softener",
          "citric-acid",
          "oxalic-acid",
          "phosphoric-acid",
          "chromic-acid",
          "ammonia-solution",
          "soda-ash",
          "chlorine-dioxide",
          "peracetic-acid",
          "sodium-hydrosulphite",
          "ferric-chloride",
          "alum",
          "polyaluminium-chloride",
          "urea-solution",
          "latex",
          "shrink-resist-liquor",
          "liquid-soap",
          "potassium-hydroxide",
          "sodium-silicate",
          "sodium-aluminate",
          "ferrous-sulphate",
          "ferric-sulphate",
          "ferric-sulphate-chloride",
          "hexafluorosilicic-acid",
          "potassium-permanganate",
          "sodium-chlorite",
          "calcium-chloride",
          "magnesium-chloride",
          "magnesium-hydroxide",
          "carbon-slurry",
          "cutting-emulsion",
          "water-paint",
          "pva-adhesive",
          "starch",
          "acid-clean",
          "chlorinated-alkaline-clean");

  private static final Set<String> ALKALINE =
      Set.of(
          "caustic-soda",
          "lime-slurry",
          "lime-dosed-sludge",
          "soda-ash",
          "ammonia-solution",
          "reactive-dye",
          "potassium-hydroxide",
          "sodium-silicate",
          "sodium-aluminate",
          "magnesium-hydroxide");

  private static final String KINDER = "kinder when strong";

  /** The row of the same fluid and strength for another material. */
  private static Optional<Resistance> beside(Resistance row, String material) {
    return LIBRARY.rows(row.fluid(), material).stream()
        .filter(r -> r.fromPct() == row.fromPct() && r.toPct() == row.toPct())
        .findFirst();
  }

  private static double limited(Resistance row) {
    return row.limitedC().orElse(-300.0);
  }

  private static double full(Resistance row) {
    return row.fullC().orElse(-300.0);
  }

  private static boolean kinder(Resistance row, Resistance than) {
    return limited(row) > limited(than) || full(row) > full(than);
  }

  private static List<String> rows(Predicate<Resistance> flag) {
    return LIBRARY.rows().stream()
        .filter(flag)
        .map(
            r ->
                r.fluid()
                    + " "
                    + r.fromPct()
                    + "-"
                    + r.toPct()
                    + " "
                    + r.material()
                    + " "
                    + full(r)
                    + "/"
                    + limited(r))
        .toList();
  }

  private static Resistance water(String material) {
    return LIBRARY.rows("water", material).get(0);
  }

  @Test
  void noWaterBasedFluidIsKinderThanWater() {
    assertThat(rows(r -> WATERY.contains(r.fluid()) && kinder(r, water(r.material())))).isEmpty();
  }

  @Test
  void aFilledGradeIsNoBetterThanThePlainOneNorACoatingThanItsBase() {
    Map<String, String> on = Map.of("PTFE-CD25", "PTFE", "chromium-carbide", "1.4462");
    assertThat(
            rows(
                r ->
                    on.containsKey(r.material())
                        && beside(r, on.get(r.material())).filter(b -> kinder(r, b)).isPresent()))
        .isEmpty();
  }

  @Test
  void whereCarbonIsAttackedByAnOxidiserItsPowderIsNotTrusted() {
    assertThat(
            rows(
                r ->
                    r.material().equals("PTFE-CD25")
                        && full(r) > 60
                        && beside(r, "carbon")
                            .filter(c -> c.effect().equals(Optional.of(Effect.OXIDISES)))
                            .filter(c -> c.limitedC().isEmpty())
                            .isPresent()))
        .isEmpty();
  }

  @Test
  void aThermoplasticRubberIsNoBetterThanTheRubberInItUnlessItOnlySwells() {
    assertThat(
            rows(
                r ->
                    r.material().equals("TPV")
                        && !r.effect().equals(Optional.of(Effect.SWELLS))
                        && beside(r, "EPDM")
                            .filter(e -> !e.effect().equals(Optional.of(Effect.SWELLS)))
                            .filter(e -> kinder(r, e))
                            .isPresent()))
        .isEmpty();
  }

  @Test
  void aPolyesterStandsAlkaliWorseThanWater() {
    assertThat(
            rows(
                r ->
                    ALKALINE.contains(r.fluid())
                        && Set.of("AU", "TPC-ET").contains(r.material())
                        && limited(r) > limited(water(r.material())) - 10))
        .isEmpty();
  }

  @Test
  void strongerIsNeverKinderUnlessTheRowSaysWhy() {
    List<String> kinder = new ArrayList<>();
    for (Fluid f : LIBRARY.fluids()) {
      for (Material m : LIBRARY.materials()) {
        List<Resistance> bands =
            LIBRARY.rows(f.code(), m.code()).stream()
                .sorted(Comparator.comparingDouble(Resistance::fromPct))
                .toList();
        for (int i = 1; i < bands.size(); i++) {
          if (kinder(bands.get(i), bands.get(i - 1)) && !bands.get(i).note().startsWith(KINDER)) {
            kinder.add(f.code() + " " + bands.get(i).fromPct() + " " + m.code());
          }
        }
      }
    }
    assertThat(kinder).isEmpty();
  }

  @Test
  void noRowGoesPastTheCeilingOfItsFluid() {
    assertThat(
            rows(
                r ->
                    LIBRARY
                        .ceiling(r.fluid(), r.fromPct())
                        .filter(c -> limited(r) > c.maxC())
                        .isPresent()))
        .isEmpty();
  }

  @Test
  void bandsOfAPairDoNotOverlap() {
    for (Fluid f : LIBRARY.fluids()) {
      List<Resistance> bands = LIBRARY.rows(f.code(), "PTFE");
      for (int i = 1; i < bands.size(); i++) {
        assertThat(bands.get(i).fromPct())
            .as(f.code())
            .isGreaterThanOrEqualTo(bands.get(i - 1).toPct());
      }
    }
  }

  @Test
  void whatAFluidDoesIsSaidWhereItDoesMoreThanWater() {
    assertThat(
            rows(
                r ->
                    r.effect().isEmpty()
                        && !r.fluid().equals("air")
                        && kinder(water(r.material()), r)
                        && LIBRARY
                            .ceiling(r.fluid(), r.fromPct())
                            .filter(c -> limited(r) == c.maxC() && full(r) == c.maxC())
                            .isEmpty()))
        .isEmpty();
  }
}
