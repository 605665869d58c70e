package isokinon.core.act;

import java.time.LocalDate;
import java.util.Optional;

/**
 * When a pump that is handed back is due again.
 *
 * @param atHours running hours of the pump at which it is due, h; empty where it runs until a part
 *     gives out
 * @param hours from the hand-back until then, h
 * @param plannedHours interval that was planned, h; more than {@code hours} where something found
 *     shortens it
 * @param day about when that is, by the hours that the pump runs a day
 * @param because why the interval is shorter than planned; empty where it is not
 */
public record NextDue(
    Optional<Double> atHours, double hours, double plannedHours, LocalDate day, String because) {}
