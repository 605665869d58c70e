package isokinon.core.material.trace;

import isokinon.core.value.Code;
import isokinon.core.value.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What is in a water-based fluid beside what gives it its name; empty where nobody knows.
 *
 * <p>A trace is judged by the row of a fluid that holds more of it: water with salt in it is weak
 * sea water, water at pH 13 is weak caustic soda. So the limits stand once, in the library, and a
 * shop that writes a row of its own for sea water is heard here as well.
 *
 * @param chlorideMgL chloride, the highest, mg/L
 * @param phLow the lowest pH
 * @param phHigh the highest pH
 * @param chlorineMgL free chlorine or another oxidiser as free chlorine, the highest, mg/L
 */
public record Traces(
    Optional<Double> chlorideMgL,
    Optional<Double> phLow,
    Optional<Double> phHigh,
    Optional<Double> chlorineMgL) {

  /** Nothing known. */
  public static final Traces UNKNOWN =
      new Traces(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

  /** Sodium chloride to chloride by mass: 58.44 g/mol to 35.45 g/mol. */
  private static final double SALT_OF_CHLORIDE = 58.44 / 35.45;

  private static final double MG_L_OF_ONE_PCT = 10_000;
  private static final double MOST_SALT_PCT = 26;

  /** In an acid a stainless steel pits at a tenth of the chloride (shop rule). */
  private static final double ACID_TIMES = 10;

  private static final double ACID_PH = 4;
  private static final double STRONG_ACID_PH = 2;
  private static final double ALKALI_PH = 10;
  private static final double STRONG_ALKALI_PH = 12;

  /**
   * Sulphuric acid: 49.04 g to the mole of hydrogen ions, in % of mass at one mole to the litre.
   */
  private static final double SULPHURIC_PCT_OF_MOLAR = 4.904;

  /** Caustic soda: 40.0 g/mol, in % of mass at one mole to the litre. */
  private static final double CAUSTIC_PCT_OF_MOLAR = 4.0;

  private static final double NEUTRAL_LOG = 14;

  /** Town water holds up to so much free chlorine (WHO guideline), mg/L: it counts as water. */
  private static final double TOWN_WATER_MG_L = 5;

  /** Which of the four. */
  public enum Trace implements Code {
    CHLORIDE,
    ACID,
    ALKALI,
    CHLORINE
  }

  /**
   * The fluid by whose row a trace is judged.
   *
   * @param trace which trace
   * @param amount how much of it: mg/L, or pH
   * @param fluid fluid code
   * @param pct strength of that fluid, %
   */
  public record Like(Trace trace, double amount, String fluid, double pct) {

    /** The trace in words, as the start of a sentence. */
    public String said() {
      String number = Double.toString(Math.round(amount * 10) / 10.0).replaceAll("\\.0$", "");
      return switch (trace) {
        case CHLORIDE -> "Chloride of " + number + " mg/L";
        case ACID, ALKALI -> "pH " + number;
        case CHLORINE -> "Free chlorine of " + number + " mg/L";
      };
    }
  }

  /** Whether nothing is known of any. */
  public boolean unknown() {
    return equals(UNKNOWN);
  }

  /**
   * The fluids these traces are judged by; none for a trace that is not known or does not count.
   */
  public List<Like> likes() {
    List<Like> likes = new ArrayList<>();
    boolean acid = phLow.filter(ph -> ph < ACID_PH).isPresent();
    chlorideMgL
        .filter(mg -> mg > 0)
        .ifPresent(
            mg ->
                likes.add(
                    new Like(
                        Trace.CHLORIDE,
                        mg,
                        "seawater",
                        Math.min(
                            MOST_SALT_PCT,
                            mg * SALT_OF_CHLORIDE / MG_L_OF_ONE_PCT * (acid ? ACID_TIMES : 1)))));
    phLow
        .filter(ph -> ph < ACID_PH)
        .ifPresent(
            ph ->
                likes.add(
                    ph < STRONG_ACID_PH
                        ? new Like(
                            Trace.ACID,
                            ph,
                            "sulphuric-acid",
                            SULPHURIC_PCT_OF_MOLAR * Math.pow(10, -ph))
                        : new Like(Trace.ACID, ph, "citric-acid", 1)));
    phHigh
        .filter(ph -> ph > ALKALI_PH)
        .ifPresent(
            ph ->
                likes.add(
                    ph > STRONG_ALKALI_PH
                        ? new Like(
                            Trace.ALKALI,
                            ph,
                            "caustic-soda",
                            CAUSTIC_PCT_OF_MOLAR * Math.pow(10, ph - NEUTRAL_LOG))
                        : new Like(Trace.ALKALI, ph, "soda-ash", 1)));
    chlorineMgL
        .filter(mg -> mg > TOWN_WATER_MG_L)
        .ifPresent(
            mg ->
                likes.add(
                    new Like(Trace.CHLORINE, mg, "sodium-hypochlorite", mg / MG_L_OF_ONE_PCT)));
    return likes;
  }

  /** Everything wrong with these; empty where they can be used. */
  public List<Fault> faults() {
    List<Fault> faults = new ArrayList<>();
    Stream.of(
            Fault.outside("chlorideMgL", "Chloride", chlorideMgL, 0, 200_000, "mg/L"),
            Fault.outside("phLow", "The lowest pH", phLow, 0, 14, ""),
            Fault.outside("phHigh", "The highest pH", phHigh, 0, 14, ""),
            Fault.outside("chlorineMgL", "Free chlorine", chlorineMgL, 0, 5000, "mg/L"))
        .flatMap(Optional::stream)
        .forEach(faults::add);
    if (phLow.isPresent() && phHigh.isPresent() && phLow.get() > phHigh.get()) {
      faults.add(
          new Fault(
              "phLow",
              "The lowest pH, " + phLow.get() + ", is above the highest, " + phHigh.get() + "."));
    }
    return faults;
  }

  /** The same with this much chloride, mg/L. */
  public Traces withChlorideMgL(double value) {
    return new Traces(Optional.of(value), phLow, phHigh, chlorineMgL);
  }

  /** The same with this lowest pH. */
  public Traces withPhLow(double value) {
    return new Traces(chlorideMgL, Optional.of(value), phHigh, chlorineMgL);
  }

  /** The same with this highest pH. */
  public Traces withPhHigh(double value) {
    return new Traces(chlorideMgL, phLow, Optional.of(value), chlorineMgL);
  }

  /** The same with this much free chlorine, mg/L. */
  public Traces withChlorineMgL(double value) {
    return new Traces(chlorideMgL, phLow, phHigh, Optional.of(value));
  }
}
