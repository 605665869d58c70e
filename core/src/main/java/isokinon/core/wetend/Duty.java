package isokinon.core.wetend;

import isokinon.core.material.trace.Traces;
import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * What a pump's wet end sees.
 *
 * @param exposures fluids with their share of time; shares add up to 1 within 0.001
 * @param abrasion how hard the solids wear
 * @param suctionLiftM suction lift, m
 * @param conditions what else may rule a material out, as far as it is known
 */
public record Duty(
    List<Exposure> exposures, Abrasion abrasion, double suctionLiftM, Conditions conditions) {

  private static final double SHARE_SLACK = 0.001;
  private static final double ROOM_C = 20;

  /** The highest temperature any of its fluids comes to, degC; room temperature without fluids. */
  public double hottestC() {
    return exposures.stream().mapToDouble(Exposure::temperatureC).max().orElse(ROOM_C);
  }

  /** A duty of which only fluids, abrasion and suction lift are known. */
  public Duty(List<Exposure> exposures, Abrasion abrasion, double suctionLiftM) {
    this(exposures, abrasion, suctionLiftM, Conditions.UNKNOWN);
  }

  /**
   * A fluid of the duty: process, cleaning or standing.
   *
   * @param fluid fluid code
   * @param concentrationPct 0 to 100 %
   * @param usualC temperature it has most of the time, degC; life is counted at this one
   * @param temperatureC highest temperature it comes to, degC; the verdict is for this one
   * @param share of the time, 0 to 1
   */
  public record Exposure(
      String fluid, double concentrationPct, double usualC, double temperatureC, double share) {

    /** A fluid that stays at one temperature. */
    public Exposure(String fluid, double concentrationPct, double temperatureC, double share) {
      this(fluid, concentrationPct, temperatureC, temperatureC, share);
    }

    /** The same fluid at another highest temperature; it is never less than usual. */
    public Exposure at(double highestC) {
      return new Exposure(fluid, concentrationPct, Math.min(usualC, highestC), highestC, share);
    }

    /** The same fluid at another strength. */
    public Exposure diluted(double pct) {
      return new Exposure(fluid, pct, usualC, temperatureC, share);
    }
  }

  /** How hard solids wear. The exponent bends a material's heavy-abrasion factor: 0 is none. */
  public enum Abrasion implements Code {
    NONE(0),
    LIGHT(0.25),
    MEDIUM(0.5),
    HEAVY(1);

    private static final double HARD = 5;
    private static final double MUCH_PCT = 2;
    private static final double LITTLE_PCT = 0.2;

    private final double exponent;

    Abrasion(double exponent) {
      this.exponent = exponent;
    }

    /** The life factor for a material whose factor under heavy abrasion is given. */
    public double factor(double heavy) {
      return this == NONE ? 1 : this == HEAVY ? heavy : Math.pow(heavy, exponent);
    }

    /**
     * What solids come to (shop rule): none under 0.01 %; hard ones from Mohs 5 wear a class more
     * than soft ones, and from 2 % of the mass a class more than under it.
     *
     * @param pct solids, % of mass
     * @param mohs their hardness, Mohs 1 to 10
     */
    public static Abrasion of(double pct, double mohs) {
      if (pct < 0.01) {
        return NONE;
      }
      int step = 1 + (mohs >= HARD ? 1 : 0) + (pct >= MUCH_PCT ? 1 : 0);
      return mohs < HARD && pct < LITTLE_PCT ? NONE : values()[step];
    }
  }

  /** Whether a charge or a spark can set something off. */
  public enum Zone implements Code {
    NONE,
    /** Static builds up: a flammable fluid, or one that charges. */
    STATIC,
    /** Classified as explosive by the site. */
    EXPLOSIVE
  }

  /**
   * What may rule a material out besides fluids; empty where nobody knows.
   *
   * @param pressureBar discharge pressure, bar
   * @param viscosityMpas viscosity, mPa·s
   * @param densityKgM3 density, kg/m3; the library's where empty
   * @param solidsMm largest solids, mm
   * @param ambientC coldest surroundings, degC
   * @param food whether it touches food
   * @param zone static or explosive
   * @param runsDry whether it runs dry now and then
   * @param traces what is in its water-based fluids beside what gives them their names
   */
  public record Conditions(
      Optional<Double> pressureBar,
      Optional<Double> viscosityMpas,
      Optional<Double> densityKgM3,
      Optional<Double> solidsMm,
      Optional<Double> ambientC,
      Optional<Boolean> food,
      Optional<Zone> zone,
      Optional<Boolean> runsDry,
      Traces traces) {

    /** Nothing known. */
    public static final Conditions UNKNOWN =
        new Conditions(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Traces.UNKNOWN);

    Conditions withPressureBar(double value) {
      return but(draft -> draft.pressureBar = Optional.of(value));
    }

    Conditions withViscosityMpas(double value) {
      return but(draft -> draft.viscosityMpas = Optional.of(value));
    }

    Conditions withDensityKgM3(double value) {
      return but(draft -> draft.densityKgM3 = Optional.of(value));
    }

    Conditions withSolidsMm(double value) {
      return but(draft -> draft.solidsMm = Optional.of(value));
    }

    Conditions withAmbientC(double value) {
      return but(draft -> draft.ambientC = Optional.of(value));
    }

    Conditions withFood(boolean value) {
      return but(draft -> draft.food = Optional.of(value));
    }

    Conditions withZone(Zone value) {
      return but(draft -> draft.zone = Optional.of(value));
    }

    Conditions withRunsDry(boolean value) {
      return but(draft -> draft.runsDry = Optional.of(value));
    }

    Conditions with(Traces value) {
      return but(draft -> draft.traces = value);
    }

    private Conditions but(Consumer<Draft> change) {
      Draft draft = new Draft(this);
      change.accept(draft);
      return draft.conditions();
    }

    /** The same facts while one of them is changed. */
    private static final class Draft {
      private Optional<Double> pressureBar;
      private Optional<Double> viscosityMpas;
      private Optional<Double> densityKgM3;
      private Optional<Double> solidsMm;
      private Optional<Double> ambientC;
      private Optional<Boolean> food;
      private Optional<Zone> zone;
      private Optional<Boolean> runsDry;
      private Traces traces;

      Draft(Conditions c) {
        pressureBar = c.pressureBar;
        viscosityMpas = c.viscosityMpas;
        densityKgM3 = c.densityKgM3;
        solidsMm = c.solidsMm;
        ambientC = c.ambientC;
        food = c.food;
        zone = c.zone;
        runsDry = c.runsDry;
        traces = c.traces;
      }

      Conditions conditions() {
        return new Conditions(
            pressureBar,
            viscosityMpas,
            densityKgM3,
            solidsMm,
            ambientC,
            food,
            zone,
            runsDry,
            traces);
      }
    }
  }

  /** The same duty with exposure {@code i} changed. */
  public Duty with(int i, Exposure changed) {
    List<Exposure> all = new ArrayList<>(exposures);
    all.set(i, changed);
    return new Duty(all, abrasion, suctionLiftM, conditions);
  }

  /** The same duty under other conditions. */
  public Duty under(Conditions other) {
    return new Duty(exposures, abrasion, suctionLiftM, other);
  }

  /** The duty without exposure {@code i}, whose share the others take over. */
  public Duty without(int i) {
    double left = 1 - exposures.get(i).share();
    List<Exposure> rest = new ArrayList<>();
    for (int j = 0; j < exposures.size(); j++) {
      Exposure e = exposures.get(j);
      if (j != i) {
        double share = left > 0 ? e.share() / left : 1.0 / (exposures.size() - 1);
        rest.add(
            new Exposure(e.fluid(), e.concentrationPct(), e.usualC(), e.temperatureC(), share));
      }
    }
    return new Duty(rest, abrasion, suctionLiftM, conditions);
  }

  /** Everything wrong with this duty; empty where it can be rated. */
  public List<Fault> faults() {
    List<Fault> faults = new ArrayList<>();
    if (exposures.isEmpty()) {
      faults.add(new Fault("exposures", "A duty has at least one fluid."));
    }
    double sum = 0;
    for (int i = 0; i < exposures.size(); i++) {
      Exposure e = exposures.get(i);
      String path = "exposures[" + i + "]";
      within(
          faults, path + ".concentrationPct", "Concentration", e.concentrationPct(), 0, 100, "%");
      within(faults, path + ".temperatureC", "Temperature", e.temperatureC(), -273.15, 1000, "°C");
      within(faults, path + ".usualC", "Usual temperature", e.usualC(), -273.15, 1000, "°C");
      if (e.usualC() > e.temperatureC()) {
        faults.add(
            new Fault(
                path + ".usualC",
                "The usual temperature, "
                    + e.usualC()
                    + " °C, is above the highest, "
                    + e.temperatureC()
                    + " °C."));
      }
      within(faults, path + ".share", "Share of time", e.share(), 0, 1, "");
      sum += e.share();
    }
    if (!exposures.isEmpty() && !(Math.abs(sum - 1) <= SHARE_SLACK)) {
      faults.add(new Fault("exposures", "The shares add up to " + sum + "; they must make 1."));
    }
    within(faults, "suctionLiftM", "Suction lift", suctionLiftM, 0, 10.3, "m");
    Conditions c = conditions;
    Stream.of(
            Fault.outside("pressureBar", "Pressure", c.pressureBar(), 0, 1000, "bar"),
            Fault.outside("viscosityMpas", "Viscosity", c.viscosityMpas(), 0.01, 1e7, "mPa·s"),
            Fault.outside("densityKgM3", "Density", c.densityKgM3(), 0.1, 25_000, "kg/m3"),
            Fault.outside("solidsMm", "Largest solids", c.solidsMm(), 0, 500, "mm"),
            Fault.outside("ambientC", "Coldest surroundings", c.ambientC(), -90, 90, "°C"))
        .flatMap(Optional::stream)
        .forEach(faults::add);
    faults.addAll(c.traces().faults());
    return faults;
  }

  private static void within(
      List<Fault> faults,
      String path,
      String what,
      double value,
      double min,
      double max,
      String unit) {
    Fault.outside(path, what, value, min, max, unit).ifPresent(faults::add);
  }
}
