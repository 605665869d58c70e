package isokinon.server.store;

import java.time.LocalDate;

/** One finished run of a wear part: age in running hours, and whether it failed. */
public record RunRow(
    String pump,
    String role,
    String material,
    String dutyGroup,
    LocalDate fittedOn,
    LocalDate endedOn,
    double hours,
    boolean failed,
    String cause) {}
