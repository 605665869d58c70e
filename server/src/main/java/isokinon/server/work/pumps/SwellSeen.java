package isokinon.server.work.pumps;

import isokinon.core.wear.Measures;
import isokinon.core.wetend.PairEvidence;
import isokinon.server.db.materials.FindingRow;
import isokinon.server.db.materials.JudgedReadingRow;
import isokinon.server.db.materials.WetEndMapper;
import java.util.Collection;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.springframework.stereotype.Component;

/** How much this shop saw a material swell. */
@Component
public class SwellSeen {

  private final WetEndMapper store;

  SwellSeen(WetEndMapper store) {
    this.store = store;
  }

  /** Mean volume swell of a material in these fluids, 0.03 is 3 %; empty where nobody saw any. */
  public Optional<Double> of(String material, Collection<String> fluids) {
    OptionalDouble mean =
        fluids.stream()
            .flatMapToDouble(
                fluid ->
                    DoubleStream.concat(
                        store.findings(fluid, material).stream()
                            .filter(f -> f.kind() == PairEvidence.Kind.SWELL)
                            .mapToDouble(FindingRow::reading),
                        store.judged(fluid, material).stream()
                            .filter(r -> r.measure().equals(Measures.SWELL))
                            .mapToDouble(JudgedReadingRow::reading)))
            .average();
    return mean.isPresent() ? Optional.of(mean.getAsDouble() / 100) : Optional.empty();
  }
}
