package isokinon.server.db.shop;

import java.time.LocalDate;

/**
 * A reading device of the shop.
 *
 * @param kind what it is, for example bore-gauge
 * @param unit unit it shows
 * @param resolution least step it shows, in its unit
 * @param uncertainty standard uncertainty of a reading, in its unit
 * @param measures measures and tests it is meant for, parted by bars; empty for all of its unit
 * @param calibratedUntil last day its calibration holds
 */
public record GaugeRow(
    String id,
    String kind,
    String title,
    String unit,
    double resolution,
    double uncertainty,
    String measures,
    LocalDate calibratedUntil) {}
