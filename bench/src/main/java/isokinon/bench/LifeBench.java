package isokinon.bench;

import isokinon.core.life.KaplanMeier;
import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.Run;
import isokinon.core.life.WeibullFit;
import isokinon.core.life.frailty.FrailtyModel;
import isokinon.core.life.frailty.FrailtyPrior;
import isokinon.core.life.frailty.PumpRuns;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Collectors;

/**
 * How long it takes to fit again every group of a shop of 1 000 pumps and 100 000 runs, and fits
 * beside the survival package of R, where Rscript and the package are installed: time as a ratio,
 * and how far the digits agree.
 */
public final class LifeBench {

  private static final int PUMPS = 1_000;
  private static final int RUNS = 100_000;
  private static final int DUTIES = 120;
  private static final int TIMES = 5;
  private static final int FITS = 200;
  private static final int RUNS_A_FIT = 250;
  private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

  private LifeBench() {}

  /** Measures and prints. */
  public static void main(String[] args) throws Exception {
    refit();
    beside();
  }

  private static Run drawn(SplittableRandom random, double shape, double scale) {
    double fails = scale * Math.pow(-Math.log(1 - random.nextDouble()), 1 / shape);
    double changed = scale * (0.5 + random.nextDouble());
    return new Run(Math.min(fails, changed), fails < changed);
  }

  private static void refit() {
    SplittableRandom random = new SplittableRandom(1);
    List<WearRun> runs = new ArrayList<>();
    for (int i = 0; i < RUNS; i++) {
      int pump = i % PUMPS;
      Run hours = drawn(random, 1 + pump % 5 * 0.6, 800 + 40.0 * (pump % DUTIES));
      runs.add(
          new WearRun(
              "P-" + pump,
              "sheet-" + pump % 18,
              "diaphragm",
              "M-" + pump % 9,
              "F-" + pump % DUTIES,
              hours,
              Optional.of(new Run(hours.age() * 4000, hours.failed())),
              DAY,
              Optional.of(DAY)));
    }
    double[] ms = new double[TIMES];
    int groups = 0;
    for (int t = -1; t < TIMES; t++) {
      long before = System.nanoTime();
      LifeGroups all = new LifeGroups(runs);
      List<Group> each = all.all(Level.DUTY);
      double sum = 0;
      for (Group g : each) {
        sum += FrailtyModel.fit(FrailtyPrior.of(2.0, 4000), byPump(g)).newPump().meanLife();
      }
      groups = each.size();
      if (t >= 0) {
        ms[t] = (System.nanoTime() - before) / 1e6;
      }
      if (!(sum > 0)) {
        throw new IllegalStateException("nothing was fitted");
      }
    }
    Arrays.sort(ms);
    System.out.printf(
        Locale.ROOT,
        "refit of %d groups of duty, of %d pumps and %d runs: %.0f ms median, %.0f ms at most%n",
        groups,
        PUMPS,
        RUNS,
        ms[TIMES / 2],
        ms[TIMES - 1]);
  }

  private static List<PumpRuns> byPump(Group g) {
    return g.runs().stream()
        .collect(
            Collectors.groupingBy(
                WearRun::pump, Collectors.mapping(WearRun::hours, Collectors.toList())))
        .entrySet()
        .stream()
        .map(e -> new PumpRuns(e.getKey(), e.getValue()))
        .toList();
  }

  private static void beside() throws IOException, InterruptedException {
    SplittableRandom random = new SplittableRandom(2);
    List<List<Run>> groups = new ArrayList<>();
    StringBuilder csv = new StringBuilder("group,from,age,failed\n");
    for (int g = 0; g < FITS; g++) {
      List<Run> runs = new ArrayList<>();
      for (int i = 0; i < RUNS_A_FIT; i++) {
        Run r = drawn(random, 0.8 + g % 10 * 0.4, 500 + 20.0 * g);
        runs.add(r);
        csv.append(g)
            .append(',')
            .append(came(r, i))
            .append(',')
            .append(r.age())
            .append(',')
            .append(r.failed() ? 1 : 0)
            .append('\n');
      }
      groups.add(runs);
    }
    List<List<KaplanMeier.Step>> steps = groups.stream().map(LifeBench::joinedLater).toList();
    double best = Double.MAX_VALUE;
    List<WeibullFit> fits = List.of();
    for (int t = 0; t < TIMES; t++) {
      long before = System.nanoTime();
      fits = groups.stream().map(WeibullFit::of).toList();
      best = Math.min(best, (System.nanoTime() - before) / 1e6);
    }
    System.out.printf(
        Locale.ROOT,
        "%d fits of %d runs here: %.1f ms, %.4f ms each%n",
        FITS,
        RUNS_A_FIT,
        best,
        best / FITS);
    Path folder = Files.createTempDirectory("isokinon-life");
    Files.writeString(folder.resolve("runs.csv"), csv);
    Files.writeString(folder.resolve("fit.R"), SCRIPT);
    Process r;
    try {
      r =
          new ProcessBuilder("Rscript", "fit.R")
              .directory(folder.toFile())
              .redirectErrorStream(true)
              .redirectOutput(folder.resolve("out.txt").toFile())
              .start();
    } catch (IOException e) {
      System.out.println("Rscript is not installed: no comparison (Debian: r-cran-survival).");
      return;
    }
    if (r.waitFor() != 0) {
      System.out.println(
          "R has no survival package: " + Files.readString(folder.resolve("out.txt")));
      return;
    }
    double rMs = 0;
    double shape = 0;
    double scale = 0;
    double likelihood = 0;
    double interval = 0;
    double survival = 0;
    double band = 0;
    int compared = 0;
    for (String line : Files.readAllLines(folder.resolve("out.txt"))) {
      String[] f = line.split(",");
      if (f[0].equals("ms")) {
        rMs = Double.parseDouble(f[1]);
        continue;
      }
      if (f[0].equals("km")) {
        KaplanMeier.Step step = steps.get(Integer.parseInt(f[1])).get(Integer.parseInt(f[2]) - 1);
        survival = Math.max(survival, Math.abs(step.survival() - Double.parseDouble(f[3])));
        if (step.low().isPresent()) {
          band = Math.max(band, Math.abs(step.low().get() - Double.parseDouble(f[4])));
          band = Math.max(band, Math.abs(step.high().orElseThrow() - Double.parseDouble(f[5])));
        }
        compared++;
        continue;
      }
      WeibullFit fit = fits.get(Integer.parseInt(f[0]));
      shape = Math.max(shape, off(fit.shape(), f[1]));
      scale = Math.max(scale, off(fit.scale(), f[2]));
      likelihood = Math.max(likelihood, off(fit.logLikelihood(), f[3]));
      interval = Math.max(interval, off(fit.shapeHigh(), f[4]));
    }
    System.out.printf(
        Locale.ROOT,
        "the same in R, survreg of the survival package, its own time only: %.0f ms, %.2f ms each;"
            + " ratio %.0f%n"
            + "largest relative difference: shape %.1e, scale %.1e, log-likelihood %.1e,"
            + " upper end of the shape's 90 %% %.1e%n"
            + "survival without a model beside survfit, every third run joining with an age,"
            + " %d steps: largest difference %.1e, of the 90 %% band %.1e%n",
        rMs,
        rMs / FITS,
        rMs / best,
        shape,
        scale,
        likelihood,
        interval,
        compared,
        survival,
        band);
  }

  /** Every third run came with half its age on it: it is seen from then on only. */
  private static double came(Run r, int i) {
    return i % 3 == 0 ? r.age() / 2 : 0;
  }

  private static List<KaplanMeier.Step> joinedLater(List<Run> runs) {
    List<Run> later = new ArrayList<>();
    for (int i = 0; i < runs.size(); i++) {
      Run r = runs.get(i);
      later.add(new Run(came(r, i), r.age(), r.failed()));
    }
    return KaplanMeier.of(later);
  }

  private static double off(double ours, String theirs) {
    double other = Double.parseDouble(theirs);
    return Math.abs(ours - other) / Math.abs(other);
  }

  private static final String SCRIPT =
      """
      suppressMessages(library(survival))
      d <- read.csv("runs.csv")
      groups <- split(d, d$group)
      fit <- function(g) survreg(Surv(age, failed) ~ 1, g, dist = "weibull",
        control = survreg.control(rel.tolerance = 1e-12, maxiter = 100))
      invisible(lapply(groups[1:20], fit))
      before <- proc.time()[["elapsed"]]
      fits <- lapply(groups, fit)
      cat("ms", 1000 * (proc.time()[["elapsed"]] - before), sep = ",")
      cat("\\n")
      for (i in seq_along(fits)) {
        f <- fits[[i]]
        se <- sqrt(f$var[2, 2])
        cat(names(groups)[i], sprintf("%.15g", 1 / f$scale), sprintf("%.15g", exp(coef(f))),
          sprintf("%.15g", f$loglik[2]),
          sprintf("%.15g", 1 / f$scale * exp(1.6448536269514722 * se)), sep = ",")
        cat("\\n")
      }
      for (i in seq_along(groups)) {
        k <- survfit(Surv(from, age, failed) ~ 1, groups[[i]], conf.int = 0.9,
          conf.type = "log-log")
        at <- which(k$n.event > 0)
        for (j in seq_along(at)) {
          cat("km", names(groups)[i], j, sprintf("%.15g", k$surv[at[j]]),
            sprintf("%.15g", k$lower[at[j]]), sprintf("%.15g", k$upper[at[j]]), sep = ",")
          cat("\\n")
        }
      }
      """;
}
