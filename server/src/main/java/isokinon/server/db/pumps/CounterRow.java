package isokinon.server.db.pumps;

import isokinon.core.counter.CounterLog;
import java.time.OffsetDateTime;

/** A reading of an hour or stroke counter, who brought it and when. */
public record CounterRow(
    String pump,
    CounterLog.Kind kind,
    OffsetDateTime at,
    double reading,
    String broughtBy,
    OffsetDateTime broughtAt) {}
