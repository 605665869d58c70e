package isokinon.bench;

import isokinon.core.life.Run;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.GroupPosterior;
import isokinon.core.life.frailty.PumpRuns;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/**
 * Lives of a group together beside R's coxph with a gaussian frailty of the pump, where Rscript and
 * its survival package are installed. A Weibull life whose ln scale is σz off has a hazard that is
 * -kσz off in ln, which is that model with any baseline; R knows no library: here are so many runs
 * that ours hardly speaks.
 */
public final class FrailtyBesideR {

  private static final int PUMPS = 40;
  private static final int RUNS = 25;
  private static final double SHAPE = 2.2;
  private static final double SCALE = 4_000;
  private static final double BETWEEN = 0.4;

  private static final String SCRIPT =
      """
      suppressMessages(library(survival))
      d <- read.csv("runs.csv")
      fit <- function() coxph(Surv(age, failed) ~ frailty.gaussian(pump, method = "reml"), d)
      before <- proc.time()[["elapsed"]]
      f <- fit()
      cat("ms", 1000 * (proc.time()[["elapsed"]] - before), sep = ",")
      cat("\\n")
      cat("between", sprintf("%.15g", sqrt(f$history[[1]]$theta)), sep = ",")
      cat("\\n")
      for (i in seq_along(f$frail)) {
        cat(i - 1, sprintf("%.15g", f$frail[i]), sep = ",")
        cat("\\n")
      }
      """;

  private FrailtyBesideR() {}

  /** Measures and prints. */
  public static void main(String[] args) throws IOException, InterruptedException {
    SplittableRandom random = new SplittableRandom(3);
    StringBuilder csv = new StringBuilder("pump,age,failed\n");
    List<PumpRuns> pumps = new ArrayList<>();
    for (int p = 0; p < PUMPS; p++) {
      double own = SCALE * Math.exp(BETWEEN * random.nextGaussian());
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < RUNS; i++) {
        double fails = own * Math.pow(-Math.log(1 - random.nextDouble()), 1 / SHAPE);
        double out = SCALE * (0.4 + random.nextDouble());
        runs.add(new Run(Math.min(fails, out), fails < out));
        csv.append(p).append(',').append(runs.get(i).age()).append(',');
        csv.append(fails < out ? 1 : 0).append('\n');
      }
      pumps.add(new PumpRuns("P-" + p, runs));
    }
    // As little as a library can say: R knows none.
    GroupPosterior here = FrailtyModel.fit(new FrailtyPrior(2, 2, 4_000, 3), pumps);
    List<String> lines = inR(csv.toString());
    if (lines.isEmpty()) {
      System.out.println("Rscript with survival is not installed (Debian: r-cran-survival).");
      return;
    }
    double[] ours = new double[PUMPS];
    double[] theirs = new double[PUMPS];
    double shape = here.shape().median();
    String ms = "";
    double between = 0;
    for (String line : lines) {
      String[] f = line.split(",");
      switch (f[0]) {
        case "ms" -> ms = f[1];
        case "between" -> between = Double.parseDouble(f[1]);
        default -> {
          int p = Integer.parseInt(f[0]);
          theirs[p] = Double.parseDouble(f[1]);
          ours[p] = -shape * Math.log(here.life("P-" + p).scaleBand().median());
        }
      }
    }
    centre(ours);
    centre(theirs);
    double squares = 0;
    double spread = 0;
    for (int p = 0; p < PUMPS; p++) {
      squares += (ours[p] - theirs[p]) * (ours[p] - theirs[p]);
      spread += theirs[p] * theirs[p];
    }
    System.out.printf(
        Locale.ROOT,
        "%d pumps of %d runs beside R's coxph with gaussian frailty: spread of ln hazard between"
            + " pumps %.3f (%.3f to %.3f), R %.3f; ln hazard of each pump apart by %.3f (root mean"
            + " square) where they differ by %.3f; R took %s ms%n",
        PUMPS,
        RUNS,
        shape * here.between().median(),
        shape * here.between().low(),
        shape * here.between().high(),
        between,
        Math.sqrt(squares / PUMPS),
        Math.sqrt(spread / PUMPS),
        ms);
  }

  private static void centre(double[] values) {
    double mean = Arrays.stream(values).average().orElse(0);
    Arrays.setAll(values, i -> values[i] - mean);
  }

  private static List<String> inR(String csv) throws IOException, InterruptedException {
    Path folder = Files.createTempDirectory("isokinon-frailty");
    Files.writeString(folder.resolve("runs.csv"), csv);
    Files.writeString(folder.resolve("fit.R"), SCRIPT);
    try {
      Process r =
          new ProcessBuilder("Rscript", "fit.R")
              .directory(folder.toFile())
              .redirectErrorStream(true)
              .redirectOutput(folder.resolve("out.txt").toFile())
              .start();
      return r.waitFor() == 0 ? Files.readAllLines(folder.resolve("out.txt")) : List.of();
    } catch (IOException e) {
      return List.of();
    }
  }
}
