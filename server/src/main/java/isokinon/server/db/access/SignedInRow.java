package isokinon.server.db.access;

import java.time.OffsetDateTime;

/** A device that somebody is signed in on; the token is a digest of what the device holds. */
public record SignedInRow(
    String token, String initials, String device, OffsetDateTime beganAt, OffsetDateTime seenAt) {}
