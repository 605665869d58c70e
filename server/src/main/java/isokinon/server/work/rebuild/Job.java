package isokinon.server.work.rebuild;

import isokinon.core.rebuild.Rebuild;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.RebuildRow;

/**
 * A rebuild with its pump.
 *
 * @param row as it was opened
 * @param pump with its hours carried on to when it came to the bench
 * @param rebuild as its events make it
 */
public record Job(RebuildRow row, PumpRow pump, Rebuild rebuild) {}
