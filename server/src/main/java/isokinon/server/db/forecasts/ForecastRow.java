package isokinon.server.db.forecasts;

import java.time.LocalDate;

/**
 * What was forecast of a set when its date was set.
 *
 * @param place where in the pump; empty where it stands for all parts of its role
 * @param fittedOn the day the set went in
 * @param madeOn the day of the forecast
 * @param ageHours hours on the set then
 * @param dueHours hours on it at which it is to be renewed
 * @param chance of failing before, 0 to 1
 * @param advisedHours its best age then, h; null where no age paid or a cost was not known
 */
public record ForecastRow(
    String pump,
    String role,
    String place,
    String material,
    LocalDate fittedOn,
    LocalDate madeOn,
    double ageHours,
    double dueHours,
    double chance,
    Double advisedHours) {}
