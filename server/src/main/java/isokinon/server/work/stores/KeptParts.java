package isokinon.server.work.stores;

import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.KeptCondition;
import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.stores.KeptPartRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.pumps.PartRuns;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import isokinon.server.work.shared.Turns;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Retired parts that are kept, with what they have run. */
@Service
public class KeptParts {

  /** What hangs on a kept part begins so. */
  public static final String KEPT = "K-";

  /** A retired part to be kept. */
  public record KeepRequest(
      String pump,
      String part,
      String serial,
      KeptCondition condition,
      Double hours,
      String note,
      String place) {}

  private final ShelfMapper shelf;
  private final BenchMapper bench;
  private final PumpMapper pumps;
  private final PumpRegister register;
  private final Sheets sheets;
  private final Turns turns;
  private final Clock clock;

  KeptParts(
      ShelfMapper shelf,
      BenchMapper bench,
      PumpMapper pumps,
      PumpRegister register,
      Sheets sheets,
      Turns turns,
      Clock clock) {
    this.shelf = shelf;
    this.bench = bench;
    this.pumps = pumps;
    this.register = register;
    this.sheets = sheets;
    this.turns = turns;
    this.clock = clock;
  }

  /** Keeps a retired part, with what it has run; answers what to write on its tag. */
  @Transactional
  public String keep(KeepRequest q, String who) {
    PumpRow pump = register.pump(Text.typed(q.pump()));
    Sheet sheet =
        pump.sheet()
            .flatMap(sheets::find)
            .orElseThrow(
                () ->
                    RequestProblem.notNow(
                        "pump", pump.tag() + " has no sheet, so no list of parts."));
    Part part =
        sheet
            .part(Text.typed(q.part()))
            .orElseThrow(
                () -> RequestProblem.invalid("part", "Say which part of the sheet it is."));
    if (part.renew() == Part.Renew.ONE_TIME) {
      throw RequestProblem.notNow(
          "part", part.name() + " goes in once only: scrap it, it is not kept.");
    }
    if (q.condition() == null) {
      throw RequestProblem.invalid("condition", "A part that is kept is sound, or to be watched.");
    }
    if (q.hours() != null && !(q.hours() >= 0)) {
      throw RequestProblem.invalid("hours", "Hours on it are 0 or more.");
    }
    Known known = known(pump, part);
    double hours =
        Optional.ofNullable(q.hours())
            .or(known::hours)
            .orElseThrow(
                () ->
                    RequestProblem.notNow(
                        "hours",
                        "Nobody wrote down when the "
                            + Text.inSentence(part.name())
                            + " went in: say how many hours it has run."));
    turns.take(Turns.Turn.KEPT_PARTS);
    String id = KEPT + String.format("%03d", shelf.keptEver() + 1);
    shelf.keep(
        new KeptPartRow(
            id,
            Text.typed(q.serial()).isEmpty() ? known.serial() : Text.typed(q.serial()),
            sheet.id(),
            part.role().orElse(""),
            part.name(),
            known.material(),
            hours,
            known.counts(),
            q.condition(),
            Text.typed(q.note()),
            pump.tag(),
            Text.typed(q.place()),
            who,
            OffsetDateTime.now(clock),
            null,
            null));
    return id;
  }

  /** What is known of a part that came out of a pump. */
  private record Known(String serial, String material, Optional<Double> hours, double counts) {
    static final Known NOTHING = new Known("", "", Optional.empty(), 0);
  }

  /** Of a pump on the bench it is what stood in it, else what came out of it last. */
  private Known known(PumpRow pump, Part part) {
    String role = part.role().orElse("");
    boolean lead = role.equals(pump.role());
    String place = lead ? "" : PartRuns.place(part);
    if (bench.runningOn(pump.tag()).isPresent()) {
      return pumps.fitted(pump.tag()).stream()
          .filter(f -> f.standsFor(role, place))
          .findFirst()
          .map(
              f ->
                  new Known(
                      f.partSerial(), f.material(), Optional.of(f.age(pump)), f.countAge(pump)))
          .orElse(Known.NOTHING);
    }
    return pumps.runs(pump.tag()).stream()
        .filter(r -> r.role().equals(role) && (r.place().equals(place) || r.place().isEmpty()))
        .reduce((earlier, later) -> later)
        .map(r -> new Known(r.partSerial(), r.material(), Optional.of(r.age()), r.countAge()))
        .orElse(Known.NOTHING);
  }

  /** Writes off a kept part. */
  @Transactional
  public void scrapKept(String id) {
    if (shelf.gone(id, "scrapped", OffsetDateTime.now(clock)) == 0) {
      throw RequestProblem.missing("No part is kept as " + id + ".");
    }
  }

  /** A part that is kept under this tag, or was, and is booked for this pump. */
  public Optional<KeptPartRow> keptFor(String pump, String id) {
    return shelf.keptPart(id).filter(k -> k.goneAt() == null || pump.equals(k.goneTo()));
  }
}
