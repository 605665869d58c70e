package isokinon.server.db.access;

import java.time.OffsetDateTime;

/** What somebody signs in with, digested, and how often in a row it was wrong. */
public record CredentialRow(
    String initials,
    String pin,
    String badge,
    boolean setByLead,
    int failures,
    OffsetDateTime closedUntil,
    OffsetDateTime changedAt) {}
