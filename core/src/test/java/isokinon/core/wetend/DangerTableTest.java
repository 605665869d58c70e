package isokinon.core.wetend;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.ShippedLibrary;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.core.wetend.Duty.Exposure;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Pairs a practitioner would be hurt or stopped by, and the usual ones beside them. */
class DangerTableTest {

  private static final int LEAST_PAIRS = 1100;

  @Test
  void everyPairIsRatedAsThoseWhoPumpItKnowIt() throws IOException {
    MaterialLibrary library = ShippedLibrary.read();
    WetEndRater rater = new WetEndRater(library);
    List<String> otherwise = new ArrayList<>();
    int pairs = 0;
    for (CsvRow row :
        CsvTable.read(
                "dangers",
                Files.newBufferedReader(Path.of("src/test/resources/dangers.csv")),
                List.of())
            .rowsOrThrow()) {
      for (String fluid : row.words("fluids", ';')) {
        Exposure exposure = new Exposure(fluid, row.number("pct"), row.number("c"), 1);
        Duty duty = new Duty(List.of(exposure), Abrasion.NONE, 0);
        for (String code : row.words("materials", ';')) {
          Material material = library.material(code).orElseThrow();
          pairs++;
          Rating.Verdict verdict = rater.rate(duty, material).verdict();
          if (!verdict.code().equals(row.get("at_best"))) {
            otherwise.add(exposure + " " + code + ": " + verdict.code());
          }
        }
      }
    }
    assertThat(otherwise).isEmpty();
    assertThat(pairs).isGreaterThanOrEqualTo(LEAST_PAIRS);
  }
}
