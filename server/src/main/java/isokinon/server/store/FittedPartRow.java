package isokinon.server.store;

import java.time.LocalDate;

/** A wear part of another role than the leading one, as it stands in a pump. */
public record FittedPartRow(
    String pump,
    String role,
    String place,
    String partSerial,
    String material,
    LocalDate fittedOn,
    double fittedAtHours,
    double cameHours) {}
