package isokinon.server.work.stores;

import isokinon.core.act.BenchEvent;
import isokinon.core.act.PartAct;
import isokinon.core.act.ProofAct;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.MovementKind;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.rebuilds.BenchMapper;
import isokinon.server.db.rebuilds.RebuildRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.MovementRow;
import isokinon.server.db.stores.ReservationRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.pumps.PumpRegister;
import isokinon.server.work.rebuild.Job;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Require;
import isokinon.server.work.shared.ShopSettings;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people do at the shelf: take in, hold, hand out, take back, count, scrap, keep. */
@Service
public class Shelf {

  private static final int MOST = 10_000;

  /** What is done with a lot. */
  public record LotRequest(String lot, String pump, Long rebuild, Integer count, String note) {}

  /** A lot that came in. */
  public record ReceivedRequest(
      String lot,
      String sheet,
      String kit,
      String material,
      String hardware,
      String cured,
      Integer count,
      Double price,
      String place) {}

  private final StoresMapper stores;
  private final ShelfMapper shelf;
  private final BenchMapper bench;
  private final PumpRegister pumps;
  private final Sheets sheets;
  private final ShopLibrary library;
  private final ShelfLifeService lives;
  private final ShopSettings settings;
  private final Clock clock;

  Shelf(
      StoresMapper stores,
      ShelfMapper shelf,
      BenchMapper bench,
      PumpRegister pumps,
      Sheets sheets,
      ShopLibrary library,
      ShelfLifeService lives,
      ShopSettings settings,
      Clock clock) {
    this.stores = stores;
    this.shelf = shelf;
    this.bench = bench;
    this.pumps = pumps;
    this.sheets = sheets;
    this.library = library;
    this.lives = lives;
    this.settings = settings;
    this.clock = clock;
  }

  /** Takes a lot in, or more of one that is there. */
  @Transactional
  public void receive(ReceivedRequest q, String who) {
    Sheet sheet =
        sheets
            .find(Text.typed(q.sheet()))
            .orElseThrow(
                () -> RequestProblem.invalid("sheet", "No sheet is called " + q.sheet() + "."));
    Sheet.Kit kit =
        sheet
            .kit(Text.typed(q.kit()))
            .orElseThrow(
                () ->
                    RequestProblem.invalid("kit", sheet.title() + " has no kit " + q.kit() + "."));
    String material =
        library
            .materials()
            .material(Text.typed(q.material()))
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "material", "No material is called " + q.material() + "."))
            .code();
    LocalDate cured =
        TableValues.day(Text.typed(q.cured()), false)
            .filter(d -> !d.isAfter(LocalDate.now(clock)))
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "cured", "Give the cure date on the bag, as 2026-03-01."));
    Require.lotNumber(q.lot());
    int count = count(q.count());
    Optional<LotRow> there = stores.lot(q.lot());
    if (there.filter(l -> !l.cured().equals(cured) || !l.kit().equals(kit.id())).isPresent()) {
      throw RequestProblem.notNow(
          "lot", "Lot " + q.lot() + " is on the shelf already as another kit or cure date.");
    }
    if (there.isEmpty()) {
      stores.addLot(
          new LotRow(
              q.lot(),
              sheet.id(),
              kit.id(),
              kit.title(),
              material,
              cured,
              0,
              q.price() == null ? 0 : q.price(),
              Text.typed(q.place()),
              Text.typed(q.hardware())));
    }
    shelf.change(q.lot(), count);
    moved(q.lot(), count, MovementKind.RECEIVED, null, who, "");
  }

  /** Holds a piece for the next job of a pump. */
  @Transactional
  public void reserve(LotRequest q, String who) {
    LotRow lot = lot(q);
    PumpRow pump = pumps.pump(Text.typed(q.pump()));
    fits(lot, pump);
    long held = shelf.reservations().stream().filter(r -> r.lot().equals(lot.id())).count();
    if (lot.quantity() - held < 1) {
      throw RequestProblem.notNow("lot", "Every piece of " + lot.id() + " is held already.");
    }
    shelf.reserve(new ReservationRow(0, lot.id(), pump.tag(), who, OffsetDateTime.now(clock)));
  }

  /** Lets a held piece go again. */
  @Transactional
  public void release(long id) {
    if (shelf.release(id, OffsetDateTime.now(clock)) == 0) {
      throw RequestProblem.missing("", "That piece is not held any more.");
    }
  }

  /** Hands a piece out to a rebuild. */
  @Transactional
  public void issue(LotRequest q, String who) {
    LotRow lot = lot(q);
    RebuildRow rebuild = rebuild(q);
    fits(lot, pumps.pump(rebuild.pump()));
    usable(lot);
    heldForAnother(lot, rebuild.pump())
        .ifPresent(
            sentence -> {
              throw RequestProblem.notNow("lot", sentence);
            });
    if (shelf.change(lot.id(), -1) == 0) {
      throw RequestProblem.notNow("lot", "Lot " + lot.id() + " is used up.");
    }
    moved(lot.id(), -1, MovementKind.ISSUED, rebuild.id(), who, "");
    shelf.used(lot.id(), rebuild.pump(), OffsetDateTime.now(clock));
  }

  /** Takes a piece back from a rebuild that did not use it. */
  @Transactional
  public void giveBack(LotRequest q, String who) {
    LotRow lot = lot(q);
    if (q.rebuild() == null || shelf.out(lot.id(), q.rebuild()) < 1) {
      throw RequestProblem.notNow("lot", "No piece of " + lot.id() + " is out to that rebuild.");
    }
    shelf.change(lot.id(), 1);
    moved(lot.id(), 1, MovementKind.RETURNED, q.rebuild(), who, Text.typed(q.note()));
  }

  /** Writes down what was counted. */
  @Transactional
  public void counted(LotRequest q, String who) {
    LotRow lot = lot(q);
    int change = count(q.count()) - lot.quantity();
    shelf.change(lot.id(), change);
    moved(lot.id(), change, MovementKind.COUNTED, null, who, Text.typed(q.note()));
  }

  /** Scraps what is left of a lot. */
  @Transactional
  public void scrap(LotRequest q, String who) {
    LotRow lot = lot(q);
    if (lot.quantity() < 1) {
      throw RequestProblem.notNow("lot", "Nothing is left of lot " + lot.id() + ".");
    }
    shelf.change(lot.id(), -lot.quantity());
    moved(lot.id(), -lot.quantity(), MovementKind.SCRAPPED, null, who, Text.typed(q.note()));
  }

  /** Chooses how sure the shelf shall be. */
  @Transactional
  public void chooseLevel(double level, String who) {
    if (!(level >= 0.5 && level <= 0.999)) {
      throw RequestProblem.invalid("level", "A service level lies between 50 and 99.9 %.");
    }
    settings.serviceLevel(level, who);
  }

  /**
   * What a rebuild used is gone for good; a piece that was handed out has left the shelf already.
   */
  public void use(Collection<String> lots, RebuildRow rebuild, String who) {
    for (String lot : lots) {
      if (lot.startsWith(KeptParts.KEPT)) {
        shelf.gone(lot, rebuild.pump(), OffsetDateTime.now(clock));
      } else if (stores.lot(lot).isPresent()) {
        int taken = shelf.out(lot, rebuild.id()) > 0 ? 0 : shelf.change(lot, -1);
        moved(lot, -taken, MovementKind.BOOKED, rebuild.id(), who, "");
      }
    }
  }

  /** Pieces of a lot that a rebuild takes: one each time it came by and booked the lot. */
  private static int pieces(Rebuild rebuild, String lot) {
    int pieces = 0;
    boolean booked = false;
    for (BenchEvent<?> e : rebuild.events()) {
      if (e.act() instanceof ProofAct.SentBack) {
        booked = false;
      } else if (e.act() instanceof PartAct.KitFitted kit && kit.lot().equals(lot)) {
        pieces += booked ? 0 : 1;
        booked = true;
      }
    }
    return pieces;
  }

  /**
   * Hands out the piece that was just booked at the bench, unless it is out already. A kept part is
   * that pump's from now on.
   *
   * @throws RequestProblem where somebody else was given the last piece meanwhile
   */
  public void handOut(String lot, Job job, String who) {
    if (lot.startsWith(KeptParts.KEPT)) {
      String pump = job.row().pump();
      if (shelf.gone(lot, pump, OffsetDateTime.now(clock)) == 0
          && shelf.keptPart(lot).filter(k -> pump.equals(k.goneTo())).isEmpty()) {
        throw RequestProblem.notNow("lot", "Part " + lot + " is kept no more: it is gone.");
      }
    } else if (stores.lot(lot).isPresent() && !isOut(lot, job)) {
      if (shelf.change(lot, -1) == 0) {
        throw RequestProblem.notNow("lot", "Lot " + lot + " is used up.");
      }
      moved(lot, -1, MovementKind.ISSUED, job.row().id(), who, "booked at the bench");
      shelf.used(lot, job.row().pump(), OffsetDateTime.now(clock));
    }
  }

  /** Whether every piece of a lot that a job takes is out to it. */
  private boolean isOut(String lot, Job job) {
    return shelf.out(lot, job.row().id()) >= pieces(job.rebuild(), lot);
  }

  /**
   * Why a piece of a lot cannot go to a job, as far as the count goes; empty where it can.
   *
   * @param job with the booking in it
   */
  public Optional<String> shortOf(LotRow lot, Job job) {
    if (isOut(lot.id(), job)) {
      return Optional.empty();
    }
    if (lot.quantity() < 1) {
      return Optional.of("Lot " + lot.id() + " is used up.");
    }
    return heldForAnother(lot, job.row().pump());
  }

  private Optional<String> heldForAnother(LotRow lot, String pump) {
    int held = shelf.heldForOthers(lot.id(), pump);
    return held > 0 && lot.quantity() <= held
        ? Optional.of(
            "Every piece of " + lot.id() + " is held for another pump: release it in Stores first.")
        : Optional.empty();
  }

  private void usable(LotRow lot) {
    if (lives.status(lot) == LotStatus.OVER_AGE) {
      throw RequestProblem.notNow(
          "lot", "Lot " + lot.id() + " is over-age: it is not handed out, scrap it.");
    }
  }

  private static void fits(LotRow lot, PumpRow pump) {
    if (!lot.sheetId().equals(pump.sheet().orElse(""))) {
      throw RequestProblem.notNow(
          "lot", "Lot " + lot.id() + " is for another construction than " + pump.tag() + ".");
    }
  }

  private LotRow lot(LotRequest q) {
    return shelf
        .lock(Text.typed(q.lot()))
        .orElseThrow(() -> RequestProblem.missing("lot", "No lot is called " + q.lot() + "."));
  }

  private RebuildRow rebuild(LotRequest q) {
    return Optional.ofNullable(q.rebuild())
        .flatMap(bench::rebuild)
        .or(() -> bench.runningOn(Text.typed(q.pump())))
        .filter(r -> r.closedAt() == null)
        .orElseThrow(
            () ->
                RequestProblem.notNow(
                    "rebuild", "A piece goes out to a pump that is on the bench."));
  }

  private void moved(
      String lot, int change, MovementKind kind, Long rebuild, String who, String note) {
    shelf.move(
        new MovementRow(
            lot,
            change,
            kind,
            rebuild,
            who,
            OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC),
            Text.clipped(note, 400)));
  }

  private static int count(Integer count) {
    if (count == null || count < 0 || count > MOST) {
      throw RequestProblem.invalid("count", "A count is 0 to " + MOST + ".");
    }
    return count;
  }
}
