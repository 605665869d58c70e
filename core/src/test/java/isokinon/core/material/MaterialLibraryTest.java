package isokinon.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.core.material.reading.LibraryReader;
import isokinon.core.material.reading.LibraryReader.InvalidLibrary;
import isokinon.core.stock.ShelfLife;
import java.io.StringReader;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaterialLibraryTest {

  private static final Map<String, String> TABLES =
      Map.of(
          "materials",
          "material,name,kind,roles,min_c,max_c,shore_a,flex,abrasion_heavy,suction_m,shelf,"
              + "density,alpha,food,conducts,max_bar\n"
              + "NBR,Nitrile,elastomer,diaphragm;ball,-20,100,70,1.0,0.8,5,B,1200,1.6e-4,yes,,\n",
          "fluids",
          "fluid,name,aliases,hurts,wear,spilt,flash_c,density,density_pct\n"
              + "acid,Acid,sour water;vinegar,burns,Goggles,Flush.,,1050,20\n"
              + "water,Water,,hot water scalds,Goggles,Mop up.,,1000,100\n",
          "resistance",
          "fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n"
              + "acid,0,20,NBR,60,80,swells,b,s,2026-01-01,\n"
              + "acid,50,90,NBR,20,30,softens,b,s,2026-01-01,\n",
          "base-life",
          "role,material,hours,shape\ndiaphragm,NBR,4500,2.5\n",
          "ceilings",
          "fluid,from_pct,to_pct,max_c,because\nacid,0,50,90,gases\nacid,50,90,60,boils\n",
          "groups",
          "group,title,fluids,residue,unit,min,max\nsour,Acid,acid@10,pH,pH,6,9\n"
              + "wet,Water,water,,,,\n",
          "meetings",
          "one,other,gives,happens,apart\nsour,wet,boiling,It spits.,Drain first.\n",
          "densities",
          "fluid,pct,c,density\nacid,0,20,1000\nacid,40,20,1200\nacid,40,60,1100\n",
          "permeating",
          "fluid\nacid\n");

  private static MaterialLibrary read(Map<String, String> tables) throws Exception {
    return LibraryReader.read(name -> new StringReader(tables.get(name)));
  }

  private static Map<String, String> changed(String table, String was, String is) {
    Map<String, String> tables = new HashMap<>(TABLES);
    tables.put(table, tables.get(table).replace(was, is));
    return tables;
  }

  @Test
  void aFluidIsFoundByCodeNameOrAliasWhateverTheCase() throws Exception {
    MaterialLibrary library = read(TABLES);
    assertThat(library.fluid("ACID")).isPresent();
    assertThat(library.fluid("Sour Water")).map(Fluid::code).contains("acid");
    assertThat(library.fluid("treacle")).isEmpty();
    assertThat(library.material("nbr")).map(Material::code).contains("NBR");
  }

  @ParameterizedTest
  @CsvSource({"0, 80", "20, 80", "35, 30", "50, 30", "90, 30"})
  void betweenTwoBandsTheWorseNeighbourCounts(double pct, double limited) throws Exception {
    assertThat(read(TABLES).resistance("acid", pct, "NBR", 25))
        .flatMap(Resistance::limitedC)
        .contains(limited);
  }

  @ParameterizedTest
  @CsvSource({"95", "100"})
  void outsideAllBandsIsUnknown(double pct) throws Exception {
    assertThat(read(TABLES).resistance("acid", pct, "NBR", 25)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"60, 1", "70, 0.5", "72, 0.43527528", "80, 0.25", "80.1, 0"})
  void lifeHalvesForEachTenKelvin(double t, double factor) throws Exception {
    Resistance row = read(TABLES).resistance("acid", 10, "NBR", 20).orElseThrow();
    assertThat(row.factorAt(t)).isCloseTo(factor, org.assertj.core.api.Assertions.within(1e-8));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "materials|100,70|warm,70|max_c",
        "materials|,B,|,Z,|shelf",
        "resistance|60,80|80,60|limited",
        "resistance|0,20|0,120|to_pct",
        "resistance|acid,0|treacle,0|unknown fluid",
        "resistance|NBR,60|FFKM,60|unknown material",
        "resistance|60,80|60,140|above the service range",
        "resistance|60,80|60,95|above which the fluid gives off its gas",
        "resistance|acid,50|acid,10|its band overlaps another of acid and NBR",
        "ceilings|50,90,60|40,90,60|its band overlaps another of acid",
        "ceilings|gases|melts|melts",
        "groups|acid@10|treacle@10|unknown fluid treacle",
        "meetings|It spits.|''|happens is empty",
        "meetings|Drain first.|''|apart is empty",
        "meetings|sour,wet|sour,sour|the same group",
        "meetings|sour,wet|sour,dry|no group of fluids",
        "densities|1200|heavy|density",
        "base-life|NBR,4500|XYZ,4500|unknown material XYZ",
        "base-life|4500|-1|hours",
      })
  void aTableWithAFaultIsRefusedBySaying(String table, String was, String is, String told) {
    assertThatThrownBy(() -> read(changed(table, was, is)))
        .isInstanceOf(InvalidLibrary.class)
        .hasMessageContaining(told);
  }

  @Test
  void anOwnRowFromBeforeALimitWasLoweredIsBroughtDownToIt() throws Exception {
    String own =
        "fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n"
            + "acid,0,20,NBR,95,99,swells,seen here,this shop,2026-01-01,\n";
    Map<String, String> mine = Map.of("resistance", own);
    assertThatThrownBy(() -> LibraryReader.read(n -> new StringReader(TABLES.get(n)), mine))
        .hasMessageContaining("above which the fluid gives off its gas");
    Resistance row =
        LibraryReader.readKept(n -> new StringReader(TABLES.get(n)), mine)
            .resistance("acid", 10, "NBR", 20)
            .orElseThrow();
    assertThat(row.limitedC()).contains(90.0);
    assertThat(row.fullC()).contains(90.0);
    assertThat(row.own()).isTrue();
  }

  @Test
  void allFaultsAreToldAtOnceWithTheirLines() {
    Map<String, String> tables = changed("resistance", "0,20", "0,x");
    tables.put("materials", tables.get("materials").replace("100,70", "hot,70"));
    assertThatThrownBy(() -> read(tables))
        .hasMessageContaining("materials")
        .hasMessageContaining("resistance")
        .hasMessageContaining("line 2");
  }

  @ParameterizedTest
  @CsvSource({
    "0, 20, 1000",
    "20, 20, 1100",
    "40, 20, 1200",
    "90, 20, 1200",
    "40, 40, 1150",
    "40, 90, 1100",
    "20, 10, 1100",
  })
  void densityIsACurveOfPoints(double pct, double c, double kgM3) throws Exception {
    assertThat(read(TABLES).density("acid", pct, c)).contains(kgM3);
    assertThat(read(TABLES).density("water", pct, c)).contains(1000.0);
  }

  @ParameterizedTest
  @CsvSource({"20, 90", "50, 60", "80, 60"})
  void theLowerOfTwoCeilingsCountsWhereTheyMeet(double pct, double maxC) throws Exception {
    assertThat(read(TABLES).ceiling("acid", pct)).map(Ceiling::maxC).contains(maxC);
    assertThat(read(TABLES).ceiling("water", pct)).isEmpty();
  }

  @Test
  void twoFluidsMeetWhicheverIsNamedFirstFromTheStrengthOfTheirGroupOn() throws Exception {
    MaterialLibrary library = read(TABLES);
    assertThat(library.meetings("acid", 10, "water", 100)).hasSize(1);
    assertThat(library.meetings("water", 100, "acid", 30)).hasSize(1);
    assertThat(library.meetings("acid", 9, "water", 100)).isEmpty();
    assertThat(library.meetings("acid", 30, "acid", 30)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "sulphuric-acid, 96, 20, 1836",
    "sulphuric-acid, 63, 20, 1530",
    "phosphoric-acid, 85, 20, 1689",
    "ethanol, 10, 20, 983.5",
  })
  void theShippedCurvesHoldTheWorkedFigures(String fluid, double pct, double c, double kgM3) {
    assertThat(ShippedLibrary.read().density(fluid, pct, c)).contains(kgM3);
  }

  @ParameterizedTest
  @CsvSource({
    "sodium-hypochlorite, 12, hydrochloric-acid, 10, POISON_GAS",
    "sodium-hypochlorite, 12, citric-acid, 5, POISON_GAS",
    "sodium-hypochlorite, 12, ammonia-solution, 5, POISON_GAS",
    "sodium-hypochlorite, 12, sodium-bisulphite, 38, POISON_GAS",
    "hydrogen-peroxide, 35, caustic-soda, 2, BURST",
    "hydrogen-peroxide, 35, acetone, 100, EXPLOSION",
    "peracetic-acid, 15, caustic-soda, 10, BURST",
    "nitric-acid, 53, ethanol, 96, EXPLOSION",
    "nitric-acid, 53, sodium-bisulphite, 38, POISON_GAS",
    "sulphuric-acid, 96, water, 100, BOILING",
    "sulphuric-acid, 30, caustic-soda, 30, BOILING",
    "caustic-soda, 30, dichloromethane, 100, EXPLOSION",
    "acetic-acid, 60, sodium-bisulphite, 38, POISON_GAS",
    "sodium-sulphide, 15, sulphuric-acid, 5, POISON_GAS",
    "isocyanate, 100, beer, 100, BURST",
    "isocyanate, 100, caustic-soda, 2, BURST",
    "hydrazine, 20, hydrogen-peroxide, 35, EXPLOSION",
    "bromine, 100, ammonia-solution, 10, EXPLOSION",
    "acetic-anhydride, 100, milk, 100, BOILING",
    "oleum, 100, detergent, 10, BOILING",
    "formaldehyde, 37, hydrochloric-acid, 10, POISON_GAS",
    "ethanolamine, 80, nitric-acid, 53, EXPLOSION",
    "chlorine-water, 0.5, sulphamic-acid, 5, POISON_GAS",
  })
  void whatMustNotMeet(String one, double onePct, String other, double otherPct, Meeting.Danger d) {
    MaterialLibrary library = ShippedLibrary.read();
    assertThat(library.meetings(one, onePct, other, otherPct).get(0).gives()).isEqualTo(d);
    assertThat(library.meetings(other, otherPct, one, onePct).get(0).gives()).isEqualTo(d);
  }

  @ParameterizedTest
  @CsvSource({
    "caustic-soda, 2, scour-liquor, 100",
    "sulphuric-acid, 10, water, 100",
    "ethanol, 50, water, 100",
    "caustic-soda, 2, water, 100",
    "nitric-acid, 1, caustic-soda, 2",
    "acetic-acid, 60, water, 100",
    "sodium-bisulphite, 38, sodium-bisulphite, 10",
    "chlorine-water, 0.5, chlorine-water, 1",
    "sodium-sulphide, 15, fruit-juice, 100",
    "polyol, 100, water, 100",
  })
  void whatMayMeet(String one, double onePct, String other, double otherPct) {
    assertThat(ShippedLibrary.read().meetings(one, onePct, other, otherPct)).isEmpty();
  }

  @Test
  void theShippedLibraryKnowsTheRolesOfADoubleDiaphragm() {
    MaterialLibrary library = ShippedLibrary.read();
    for (String role : new String[] {"diaphragm", "ball", "seat", "o-ring", "body"}) {
      assertThat(library.knowsRole(role)).as(role).isTrue();
    }
    assertThat(library.baseLife("diaphragm", "CSM")).isPresent();
    assertThat(library.baseLife("diaphragm", "alumina")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "NR, A",
    "AU, A",
    "NBR, B",
    "CR, B",
    "HNBR, B",
    "EPDM, C",
    "FKM, C",
    "CSM, C",
    "VMQ, C",
    "PTFE, NONE",
    "TPV, MAKER",
    "TPC-ET, MAKER"
  })
  void shelfGroupsOfTheShippedMaterials(String material, ShelfLife.Group group) {
    assertThat(ShippedLibrary.read().material(material)).map(Material::shelf).contains(group);
  }

  @Test
  void everyShippedElastomerHasARowForTheFluidsOfTheSlice() {
    MaterialLibrary library = ShippedLibrary.read();
    assertThat(library.materials())
        .filteredOn(m -> m.roles().contains("diaphragm"))
        .allSatisfy(
            m -> {
              for (String fluid :
                  new String[] {"scour-liquor", "recovered-wool-grease", "sludge-with-grit"}) {
                assertThat(
                        library
                            .resistance(fluid, 100, m.code(), 20)
                            .or(() -> library.resistance(fluid, 5, m.code(), 20)))
                    .as(m.code() + " in " + fluid)
                    .isPresent();
              }
            });
  }

  @ParameterizedTest
  @CsvSource({"5, 20, 45", "15, 20, 45", "18, 20, 80", "60, 20, 30"})
  void anOwnRowCountsBeforeEveryShippedOneOfItsBand(double pct, double t, double limited)
      throws Exception {
    MaterialLibrary library =
        LibraryReader.read(
            name -> new StringReader(TABLES.get(name)),
            Map.of(
                "resistance",
                "fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n"
                    + "acid,0,15,NBR,40,45,swells,seen here,this shop,2026-02-01,\n"));
    assertThat(library.resistance("acid", pct, "NBR", t))
        .flatMap(Resistance::limitedC)
        .contains(limited);
    assertThat(library.rows("acid", "NBR")).hasSize(3);
  }

  @Test
  void faultsOfOwnTablesTellTheLineOfTheFile() {
    String own =
        "fluid,from_pct,to_pct,material,full_c,limited_c,effect,basis,source,date,note\n"
            + "acid,0,15,NBR,40,45,swells,seen here,this shop,2026-02-01,\"a note\nof two lines\"\n"
            + "acid,16,15,NBR,40,45,swells,seen here,this shop,2026-02-01,\n"
            + "acid,0,15,NBR,40,45,melts,seen here,this shop,soon,\n"
            + "acid,0,15,NBR,40,45,swells,seen here,this shop,2026-02-01,\n"
            + "acid,1,2,NBR\n";
    assertThatThrownBy(
            () ->
                LibraryReader.read(
                    name -> new StringReader(TABLES.get(name)), Map.of("resistance", own)))
        .isInstanceOfSatisfying(
            InvalidLibrary.class,
            e ->
                assertThat(e.faults())
                    .extracting(f -> f.line() + " " + f.message())
                    .satisfiesExactly(
                        f -> assertThat(f).startsWith("4 to_pct is under"),
                        f -> assertThat(f).startsWith("5 effect \"melts\""),
                        f -> assertThat(f).startsWith("6 acid, 0, 15, NBR stands here twice"),
                        f -> assertThat(f).startsWith("7 4 fields where")));
  }

  @Test
  void aTableWithoutItsColumnsIsRefused() {
    assertThatThrownBy(() -> read(changed("fluids", "flash_c,", "")))
        .hasMessageContaining("columns missing: flash_c");
  }

  @Test
  void aMaterialOfTheShopKeepsWhatOnlyTheShippedRowSays() {
    MaterialLibrary library =
        ShippedLibrary.with(
            "materials", "PP,Our polypropylene,plastic,body,0,85,,1,0.6,8,none,910,,yes,no,");
    Material pp = library.material("PP").orElseThrow();
    assertThat(pp.name()).isEqualTo("Our polypropylene");
    assertThat(pp.loadedC()).contains(80.0);
    assertThat(library.materials()).filteredOn(m -> m.code().equals("PP")).hasSize(1);
  }

  @Test
  void whatAMaterialIsMadeFromIsAMaterial() {
    Map<String, String> tables = changed("materials", "max_bar\n", "max_bar,base\n");
    tables.put("materials", tables.get("materials").replace("yes,,\n", "yes,,,gum\n"));
    assertThatThrownBy(() -> read(tables))
        .isInstanceOf(InvalidLibrary.class)
        .hasMessageContaining("NBR: unknown material gum");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          toluene|100|NBR|Toluene swells NBR at any temperature.
          mineral-oil|100|NBR|Mineral oil hardens NBR: hardly up to 90 °C, in a shortened life up to 100 °C, too fast beyond.
          seawater|3|1.4404|Seawater or brine of 1 to 5 % pits 1.4404: not up to 5 °C, perhaps up to 30 °C, surely beyond.
          mineral-oil|100|PTFE|Mineral oil does nothing to PTFE that matters up to 150 °C.
          hydrofluoric-acid|40|EPDM|Hydrofluoric acid of 12 to 50 % swells EPDM from the first degree, and is not borne over 20 °C.
          """)
  void aPairSaysWhyInOneSentence(String fluid, double pct, String material, String why) {
    MaterialLibrary library = ShippedLibrary.read();
    assertThat(
            library
                .resistance(fluid, pct, material, 20)
                .orElseThrow()
                .why(library.fluidName(fluid), library.material(material).orElseThrow().kind()))
        .isEqualTo(why);
  }
}
