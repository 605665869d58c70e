package isokinon.server.work.pumps;

import isokinon.core.sheet.Part;
import isokinon.server.db.pumps.FittedPartRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.RunRow;
import isokinon.server.work.shared.Text;
import java.time.LocalDate;

/** Runs of parts that come out of a pump, and where in it they stood. */
public final class PartRuns {

  private static final int MOST_PLACE = 40;

  private PartRuns() {}

  /** The run of a part that comes out today. */
  public static RunRow ended(
      FittedPartRow f,
      PumpRow pump,
      String duty,
      LocalDate day,
      boolean failed,
      String cause,
      String note) {
    return new RunRow(
        pump.tag(),
        f.role(),
        f.material(),
        duty,
        f.fittedOn(),
        day,
        f.hoursHere(pump),
        failed,
        cause,
        pump.serial(),
        f.partSerial(),
        f.place(),
        pump.sheet().orElse(""),
        f.cameHours(),
        pump.counted(),
        f.cameCount(),
        pump.countsPerHour() > 0 ? f.countsHere(pump) : null,
        note);
  }

  /** What a part is called as a place in its pump. */
  public static String place(Part part) {
    return Text.clipped(Text.words(part.id()), MOST_PLACE);
  }
}
