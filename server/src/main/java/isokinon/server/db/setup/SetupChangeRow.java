package isokinon.server.db.setup;

import java.time.OffsetDateTime;

/**
 * A row of the set-up that was added, changed or taken out.
 *
 * @param batch what was done at once has the same
 * @param tableName the table, by its code
 * @param rowKey its key, as it is shown
 * @param stood the row before, JSON of texts; null where there was none
 * @param stands the row since then; null where it was taken out
 * @param undone whether it was taken back
 */
public record SetupChangeRow(
    long id,
    String batch,
    OffsetDateTime madeAt,
    String who,
    String device,
    String tableName,
    String rowKey,
    String stood,
    String stands,
    boolean undone) {}
