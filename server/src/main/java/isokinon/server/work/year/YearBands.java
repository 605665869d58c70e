package isokinon.server.work.year;

import isokinon.server.work.year.YearView.YearBand;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** What many years say in short. */
final class YearBands {

  private static final double LOW = 0.05;
  private static final double HIGH = 0.95;

  private YearBands() {}

  /** The middle, and what holds nine in ten. */
  static YearBand of(double[] years) {
    double[] sorted = years.clone();
    Arrays.sort(sorted);
    return new YearBand(quantile(sorted, LOW), quantile(sorted, 0.5), quantile(sorted, HIGH));
  }

  static YearBand of(int[] years) {
    return of(Arrays.stream(years).asDoubleStream().toArray());
  }

  static YearBand of(float[] years) {
    return of(doubles(years));
  }

  static double[] doubles(float[] years) {
    return IntStream.range(0, years.length).mapToDouble(i -> years[i]).toArray();
  }

  /** Of numbers in their order, by the nearest of them. */
  static double quantile(double[] sorted, double probability) {
    return sorted[(int) Math.min(sorted.length - 1.0, Math.floor(probability * sorted.length))];
  }

  static double mean(double[] years) {
    return Arrays.stream(years).average().orElse(0);
  }

  /** What the second costs less than the first, year by year. */
  static double[] less(double[] first, double[] second) {
    return IntStream.range(0, first.length).mapToDouble(i -> first[i] - second[i]).toArray();
  }

  /** The same where year i of the one stands against year i + 1 of the other. */
  static double[] lessWithOwnLuck(double[] first, double[] second) {
    int n = first.length;
    return IntStream.range(0, n).mapToDouble(i -> first[i] - second[(i + 1) % n]).toArray();
  }

  static List<Integer> whole(double[] years) {
    return Arrays.stream(years).mapToObj(v -> (int) Math.round(v)).toList();
  }

  /** In what share of the years it is over {@code most}. */
  static double over(float[] years, double most) {
    return IntStream.range(0, years.length).filter(i -> years[i] > most).count()
        / (double) years.length;
  }
}
