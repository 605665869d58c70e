package isokinon.server.work.library;

import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.diagnosis.DiagnosisReader;
import isokinon.core.sheet.Family;
import isokinon.server.db.findings.CountRow;
import isokinon.server.db.findings.FindingMapper;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The diagnosis tables that ship with the application, and what this shop confirmed. */
@Component
public class ShopDiagnosis {

  private final FindingMapper store;
  private final DiagnosisLibrary library;

  ShopDiagnosis(FindingMapper store) {
    this.store = store;
    try {
      library =
          DiagnosisReader.read(
              table ->
                  new InputStreamReader(
                      new ClassPathResource("library/diagnosis/" + table + ".csv").getInputStream(),
                      StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Signatures, causes, faults, symptoms and tests. */
  public DiagnosisLibrary library() {
    return library;
  }

  /** How often each cause was found on pumps of a family. */
  public Map<String, Integer> causesFound(Family family) {
    return counted(store.causeCounts(family));
  }

  /** How often each fault was found on pumps of a family. */
  public Map<String, Integer> faultsFound(Family family) {
    return counted(store.faultCounts(family));
  }

  private static Map<String, Integer> counted(List<CountRow> rows) {
    return rows.stream().collect(Collectors.toMap(CountRow::id, CountRow::times));
  }
}
