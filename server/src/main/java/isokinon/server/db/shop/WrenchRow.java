package isokinon.server.db.shop;

import java.time.LocalDate;

/** A torque wrench of the crib. */
public record WrenchRow(
    String id, double minNm, double maxNm, LocalDate calibratedUntil, boolean clicks) {}
