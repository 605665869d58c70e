package isokinon.core.torque;

import static isokinon.core.value.Numbers.plain;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A torque wrench of the crib.
 *
 * @param id its number in the crib
 * @param minNm least setting, N·m
 * @param maxNm greatest setting, N·m
 * @param calibratedUntil last day its calibration holds
 * @param clicks whether it clicks at a setting instead of showing a reading
 */
public record Wrench(
    String id, double minNm, double maxNm, LocalDate calibratedUntil, boolean clicks) {

  /** Least share of a wrench's range it is trusted at. */
  public static final double TRUSTED_FROM = 0.20;

  /** What the crib offers for a setting. */
  public record Choice(Optional<Wrench> wrench, String because) {}

  /** Whether {@code settingNm} lies between 20 and 100 % of the range. */
  public boolean covers(double settingNm) {
    return settingNm >= Math.max(minNm, TRUSTED_FROM * maxNm) && settingNm <= maxNm;
  }

  /**
   * The wrench for a setting (adapter included): calibration in date, the setting between 20 and
   * 100 % of its range, the smallest that will do. Else says what the crib lacks.
   */
  public static Choice choose(List<Wrench> crib, double settingNm, LocalDate today) {
    Optional<Wrench> found =
        crib.stream()
            .filter(w -> w.covers(settingNm) && !w.calibratedUntil().isBefore(today))
            .min(Comparator.comparingDouble(Wrench::maxNm));
    if (found.isPresent()) {
      return new Choice(
          found,
          "%s to %s N·m, calibrated to %s"
              .formatted(
                  plain(found.get().minNm()),
                  plain(found.get().maxNm()),
                  found.get().calibratedUntil()));
    }
    Optional<Wrench> outOfDate = crib.stream().filter(w -> w.covers(settingNm)).findFirst();
    return new Choice(
        Optional.empty(),
        outOfDate
            .map(
                w ->
                    "Wrench "
                        + w.id()
                        + " would do, but its calibration ended on "
                        + w.calibratedUntil()
                        + ".")
            .orElse(
                "The crib has no wrench whose range from 20 to 100 %% holds %.1f N·m."
                    .formatted(settingNm)));
  }
}
