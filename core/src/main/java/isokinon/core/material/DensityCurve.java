package isokinon.core.material;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * Density of a fluid by strength and temperature, from points: in a straight line between two
 * points, and as at the last one beyond.
 */
public final class DensityCurve {

  private final NavigableMap<Double, NavigableMap<Double, Double>> byTemperature = new TreeMap<>();

  /** Adds a point: strength %, temperature °C, density kg/m³. */
  public void add(double pct, double temperatureC, double densityKgM3) {
    byTemperature.computeIfAbsent(temperatureC, t -> new TreeMap<>()).put(pct, densityKgM3);
  }

  /** Density, kg/m³, at a strength in % and a temperature in °C. */
  public double at(double pct, double temperatureC) {
    TreeMap<Double, Double> atPct = new TreeMap<>();
    byTemperature.forEach((t, curve) -> atPct.put(t, between(curve, pct)));
    return between(atPct, temperatureC);
  }

  private static double between(NavigableMap<Double, Double> curve, double x) {
    Map.Entry<Double, Double> low = curve.floorEntry(x);
    Map.Entry<Double, Double> high = curve.ceilingEntry(x);
    if (low == null || high == null) {
      return (low == null ? high : low).getValue();
    }
    double span = high.getKey() - low.getKey();
    return span == 0
        ? low.getValue()
        : low.getValue() + (high.getValue() - low.getValue()) * (x - low.getKey()) / span;
  }
}
