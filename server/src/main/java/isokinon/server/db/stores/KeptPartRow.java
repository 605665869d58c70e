package isokinon.server.db.stores;

import isokinon.core.stock.KeptCondition;
import java.time.OffsetDateTime;

/**
 * A retired part that looked sound and was kept.
 *
 * @param id on the tag that hangs on it
 * @param serial of the part, or empty
 * @param hours on it
 * @param counts on it of what drives its wear; 0 where nobody counted
 * @param condition sound or watch
 * @param goneTo where it went; null while it is kept
 */
public record KeptPartRow(
    String id,
    String serial,
    String sheetId,
    String role,
    String name,
    String material,
    double hours,
    double counts,
    KeptCondition condition,
    String note,
    String fromPump,
    String place,
    String keptBy,
    OffsetDateTime keptAt,
    String goneTo,
    OffsetDateTime goneAt) {}
