package isokinon.core.plan;

import java.util.List;

/**
 * One way in: a set of strip steps that reaches everything asked.
 *
 * @param title what tells it from the others, for example "pull the pair"
 * @param minutes strip and build minutes of its steps
 * @param steps ids of its steps, in the order of the sheet
 * @param avoid steps a plan must do without to go this way; empty for the cheapest
 */
public record RouteOption(String title, double minutes, List<String> steps, List<String> avoid) {}
