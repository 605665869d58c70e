package isokinon.bench;

import isokinon.core.diagnosis.Belief;
import isokinon.core.diagnosis.DiagnosisLibrary;
import isokinon.core.diagnosis.DiagnosisReader;
import isokinon.core.diagnosis.TestChoice;
import isokinon.core.life.LifeEstimate;
import isokinon.core.life.Run;
import isokinon.core.material.Material;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.reading.LibraryReader;
import isokinon.core.plan.Plan;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.Family;
import isokinon.core.sheet.Handling.Layout;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.torque.TighteningOrder;
import isokinon.core.wetend.CandidateId;
import isokinon.core.wetend.Duty;
import isokinon.core.wetend.KitRanking;
import isokinon.core.wetend.Rating;
import isokinon.core.wetend.Sensitivity;
import isokinon.core.wetend.WetEndRater;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** How long the rules of the job take on the shipped sheet and library: medians, milliseconds. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {

  private final Planner planner = new Planner();
  private String source = "";
  private Sheet pump;
  private PlanRequest wetKit;
  private PlanRequest everything;
  private WetEndRater rater;
  private MaterialLibrary library;
  private Duty duty;
  private DiagnosisLibrary diagnosis;
  private final List<KitRanking.Candidate> kits = new ArrayList<>();

  private static final KitRanking.Money MONEY = new KitRanking.Money(42, 290, 20_000);

  /** Reads the shipped sheet and tables. */
  @Setup
  public void read() throws IOException {
    source = Files.readString(Path.of("../library/sheets/aodd-bolted-plastic-25.yaml"));
    pump = SheetReader.forLibrary().read(source).orThrow();
    wetKit = PlanRequest.of(List.copyOf(pump.kits().get(0).parts().keySet()), List.of());
    everything =
        PlanRequest.of(
            pump.parts().stream().filter(p -> p.renew() != Part.Renew.KEEP).map(Part::id).toList(),
            List.of());
    library =
        LibraryReader.read(
            name -> Files.newBufferedReader(Path.of("../library/materials/" + name + ".csv")));
    diagnosis =
        DiagnosisReader.read(
            name -> Files.newBufferedReader(Path.of("../library/diagnosis/" + name + ".csv")));
    rater = new WetEndRater(library);
    duty =
        new Duty(
            List.of(
                new Duty.Exposure("sludge-with-grit", 4, 34, 0.88),
                new Duty.Exposure("caustic-soda", 2, 75, 0.07),
                new Duty.Exposure("sodium-hypochlorite", 12, 20, 0.05)),
            Duty.Abrasion.LIGHT,
            2.1);
    for (String code : List.of("TPC-ET", "CSM", "TPV", "EPDM", "NBR", "FKM", "PTFE", "AU")) {
      kits.add(kit(code, kits.isEmpty() ? 500 : 0));
    }
  }

  private KitRanking.Candidate kit(String code, int runs) {
    Map<String, Material> parts = new LinkedHashMap<>();
    Material material = library.material(code).orElseThrow();
    parts.put("diaphragm", material);
    parts.put("ball", material);
    parts.put("seat", library.material("PP").orElseThrow());
    parts.put("o-ring", library.material("PTFE").orElseThrow());
    parts.put("body", library.material("PP").orElseThrow());
    double shape = library.baseLife("diaphragm", code).orElseThrow().shape();
    double mean = library.baseLife("diaphragm", code).orElseThrow().hours();
    List<Run> past = new ArrayList<>();
    for (int i = 0; i < runs; i++) {
      past.add(new Run(1000 + 7 * i, i % 3 == 0));
    }
    return new KitRanking.Candidate(
        CandidateId.of(code),
        parts,
        Set.of("diaphragm", "ball", "seat", "o-ring"),
        "diaphragm",
        148,
        87,
        0,
        past.isEmpty()
            ? Optional.empty()
            : Optional.of(LifeEstimate.of(shape, mean, past).life().longer(1 / mean)));
  }

  /** The plan for the wet-end kit. */
  @Benchmark
  public Plan planWetKit() {
    return planner.plan(pump, wetKit);
  }

  /** The plan for renewing every part of the pump. */
  @Benchmark
  public Plan planRenewEverything() {
    return planner.plan(pump, everything);
  }

  /** The tightening order of eight bolts on a circle. */
  @Benchmark
  public TighteningOrder tightenEight() {
    return TighteningOrder.of(8, Layout.CIRCLE);
  }

  /** The tightening order of the largest joint there may be. */
  @Benchmark
  public TighteningOrder tightenTwoHundred() {
    return TighteningOrder.of(TighteningOrder.MOST, Layout.CIRCLE);
  }

  /** All materials of the library against a duty of three fluids. */
  @Benchmark
  public List<Rating> rateAllMaterials() {
    return rater.rate(duty, List.copyOf(library.materials()));
  }

  /** Eight kits of a double-diaphragm pump ranked, the first with 500 past runs. */
  @Benchmark
  public List<KitRanking.Ranked> rankKits() {
    return new KitRanking(rater).rank(duty, kits, MONEY);
  }

  /** Everything that would change the choice among those kits. */
  @Benchmark
  public List<Sensitivity.Turn> findTurns() {
    KitRanking ranking = new KitRanking(rater);
    return new Sensitivity(library, d -> ranking.standing(d, kits, MONEY), CandidateId::material)
        .turns(duty);
  }

  /** Every symptom of a double-diaphragm pump told, and its tests ranked by what they settle. */
  @Benchmark
  public List<TestChoice> rankNextTests() {
    Belief belief = diagnosis.faultsOf(Family.AIR_DIAPHRAGM, Map.of());
    for (DiagnosisLibrary.Symptom s : diagnosis.symptoms(Family.AIR_DIAPHRAGM)) {
      belief = belief.given(diagnosis.evidence(Family.AIR_DIAPHRAGM, s, true));
    }
    return TestChoice.ranked(
        belief,
        diagnosis.tests(Family.AIR_DIAPHRAGM).stream()
            .map(
                t ->
                    new TestChoice.Test(
                        diagnosis.evidence(Family.AIR_DIAPHRAGM, t, true), t.minutes(), t.kind()))
            .toList());
  }

  /** Reading and checking the shipped sheet. */
  @Benchmark
  public Sheet readSheet() {
    return SheetReader.forLibrary().read(source).orThrow();
  }

  /** Runs all of them. */
  public static void main(String[] args) throws RunnerException {
    new Runner(new OptionsBuilder().include(CoreBenchmark.class.getSimpleName()).build()).run();
  }
}
