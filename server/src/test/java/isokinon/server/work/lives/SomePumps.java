package isokinon.server.work.lives;

import isokinon.core.renewal.Consequence;
import isokinon.core.sheet.Family;
import isokinon.core.wetend.Duty.Abrasion;
import isokinon.server.db.pumps.PumpRow;
import java.time.LocalDate;

/** Pumps for the tests. */
public final class SomePumps {

  public static final double INTERVAL = 2300;
  public static final double STROKES_PER_HOUR = 4000;
  private static final double FITTED_AT = 5000;

  private SomePumps() {}

  /** A double-diaphragm pump whose set has run so many hours. */
  public static PumpRow aged(String tag, double age) {
    return new PumpRow(
        tag,
        "Effluent",
        3,
        Family.AIR_DIAPHRAGM,
        "DP25",
        "1",
        "aodd-bolted-plastic-25",
        "Sludge",
        "",
        "diaphragm",
        "NBR",
        "PP",
        FITTED_AT + age,
        (FITTED_AT + age) * STROKES_PER_HOUR,
        20,
        INTERVAL,
        Abrasion.LIGHT,
        2,
        Consequence.NORMAL,
        LocalDate.of(2026, 1, 1),
        FITTED_AT,
        null,
        STROKES_PER_HOUR,
        LocalDate.of(2026, 3, 14),
        "",
        0,
        0,
        FITTED_AT * STROKES_PER_HOUR,
        "");
  }
}
