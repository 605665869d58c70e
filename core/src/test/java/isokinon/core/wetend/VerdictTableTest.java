package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Ceiling;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.Resistance;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Exposure;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/** What a practitioner knows of fluids and materials, whatever the figures of the library are. */
class VerdictTableTest {

  private static final MaterialLibrary LIBRARY = ShippedLibrary.read();
  private static final WetEndRater RATER = new WetEndRater(LIBRARY);

  @ParameterizedTest(name = "{3} in {0} {1} % at {2} degC: {4}")
  @CsvFileSource(resources = "/verdicts.csv", numLinesToSkip = 1)
  void whatThePractitionerKnows(
      String fluid, double pct, double t, String material, String verdict, String why) {
    Duty duty = new Duty(List.of(new Exposure(fluid, pct, t, 1)), Abrasion.NONE, 0);
    Material m = LIBRARY.material(material).orElseThrow();
    assertThat(RATER.rate(duty, m).verdict().name().toLowerCase(Locale.ROOT))
        .as(why)
        .isIn((Object[]) verdict.split("\\|"));
  }

  @Test
  void theLibraryHoldsEveryFluidAndMaterialOfTheTrade() {
    assertThat(LIBRARY.fluids()).hasSizeGreaterThanOrEqualTo(60);
    assertThat(LIBRARY.materials()).hasSizeGreaterThanOrEqualTo(43);
    assertThat(LIBRARY.rows()).hasSizeGreaterThan(3000);
    assertThat(LIBRARY.rows()).allSatisfy(r -> assertThat(r.basis()).isNotBlank());
  }

  /** A thin tube or a hose never stands more than the rubber it is made of. */
  @Test
  void kinNeverOutdoWhatTheyAreMadeOf() {
    for (String pair :
        List.of("EPDM tube,EPDM", "NR hose,NR", "FKM tube,FKM", "silicone tube,VMQ")) {
      String[] names = pair.split(",");
      for (var fluid : LIBRARY.fluids()) {
        for (var row : LIBRARY.rows(fluid.code(), names[0])) {
          var of = LIBRARY.resistance(fluid.code(), row.fromPct(), names[1], 20).orElseThrow();
          assertThat(row.limitedC().orElse(-300.0))
              .as(names[0] + " in " + fluid.code())
              .isLessThanOrEqualTo(of.limitedC().orElse(-300.0));
        }
      }
    }
  }

  /** A stronger caustic or acid is never kinder to a rubber or plastic of the trade. */
  @Test
  void strongerCausticIsNeverKinder() {
    for (Material m : LIBRARY.materials()) {
      var rows = LIBRARY.rows("caustic-soda", m.code());
      for (int i = 1; i < rows.size(); i++) {
        assertThat(rows.get(i).limitedC().orElse(-300.0))
            .as(m.code() + " at " + rows.get(i).fromPct() + " %")
            .isLessThanOrEqualTo(rows.get(i - 1).limitedC().orElse(-300.0));
      }
    }
  }

  /** Whatever was shipped, the shop's own row decides within its band, and only there. */
  @Property(tries = 50)
  void anOwnRowAlwaysWins(
      @ForAll @IntRange(min = 0, max = 3000) int which,
      @ForAll @IntRange(min = -20, max = 60) int full,
      @ForAll @IntRange(min = 0, max = 20) int more,
      @ForAll @IntRange(min = -10, max = 90) int t) {
    Resistance shipped = LIBRARY.rows().get(which);
    Material m = LIBRARY.material(shipped.material()).orElseThrow();
    double ceiling =
        LIBRARY
            .ceiling(shipped.fluid(), shipped.fromPct())
            .map(Ceiling::maxC)
            .orElse(Double.POSITIVE_INFINITY);
    double limited = Math.min(ceiling, Math.min(m.maxC(), full + more));
    double most = Math.min(full, limited);
    String own =
        String.join(
            ",",
            shipped.fluid(),
            Double.toString(shipped.fromPct()),
            Double.toString(shipped.toPct()),
            m.code(),
            Double.toString(most),
            Double.toString(limited),
            "swells,seen here,this shop,2026-02-01,");
    MaterialLibrary library = ShippedLibrary.with("resistance", own);
    Duty duty =
        new Duty(List.of(new Exposure(shipped.fluid(), shipped.fromPct(), t, 1)), Abrasion.NONE, 0);
    Rating rating = new WetEndRater(library).rate(duty, m);
    assertThat(rating.bars().get(0).own()).isTrue();
    assertThat(rating.bars().get(0).limitedC()).contains(limited);
    if (t >= m.minC() && t <= m.maxC()) {
      assertThat(rating.verdict())
          .isEqualTo(
              t > limited
                  ? Rating.Verdict.UNSUITED
                  : t > most ? Rating.Verdict.LIMITED : Rating.Verdict.SUITED);
    } else {
      assertThat(rating.verdict()).isEqualTo(Rating.Verdict.UNSUITED);
    }
    assertThat(library.rows(shipped.fluid(), m.code())).contains(shipped).anyMatch(Resistance::own);
  }

  /** Each verdict of a pair holds over a stretch of temperature: it never comes back. */
  @Property(tries = 300)
  void aVerdictOnceLostIsLostForGood(
      @ForAll @IntRange(min = 0, max = 3000) int which,
      @ForAll @IntRange(min = 0, max = 100) int pct) {
    Resistance row = LIBRARY.rows().get(which);
    Material m = LIBRARY.material(row.material()).orElseThrow();
    Rating.Verdict before = Rating.Verdict.SUITED;
    for (double t = Math.max(0, m.minC()); t <= 140; t += 2) {
      Duty duty = new Duty(List.of(new Exposure(row.fluid(), pct, t, 1)), Abrasion.NONE, 0);
      Rating.Verdict now = RATER.rate(duty, m).verdict();
      assertThat(now).as(m.code() + " in " + row.fluid()).isGreaterThanOrEqualTo(before);
      before = now;
    }
  }
}
