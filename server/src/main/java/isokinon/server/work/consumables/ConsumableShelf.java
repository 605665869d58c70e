package isokinon.server.work.consumables;

import isokinon.core.consumable.Consumable;
import isokinon.core.stock.MovementKind;
import isokinon.server.db.stores.ConsumableLotRow;
import isokinon.server.db.stores.ConsumableMapper;
import isokinon.server.db.stores.ConsumableMovementRow;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Require;
import isokinon.server.work.shared.TableValues;
import isokinon.server.work.shared.Text;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people do with lots of consumables: take in, measure what is left, throw away. */
@Service
public class ConsumableShelf {

  private static final double MOST = 1_000_000;
  private static final int MOST_PACKS = 1000;

  /**
   * Packs that came in.
   *
   * @param bestBefore last day on which it is used, as the pack says; empty where it says none
   */
  public record ConsumableReceivedRequest(
      String lot,
      String consumable,
      String bestBefore,
      Integer packs,
      Double price,
      String place) {}

  /**
   * What is done with a lot.
   *
   * @param amount what is left of it, in the unit of the consumable
   */
  public record ConsumableLotRequest(String lot, Double amount, String note) {}

  private final ConsumableStock stock;
  private final ConsumableMapper store;
  private final Clock clock;

  ConsumableShelf(ConsumableStock stock, ConsumableMapper store, Clock clock) {
    this.stock = stock;
    this.store = store;
    this.clock = clock;
  }

  /** Takes packs in: a lot of its own, or more of one that is there. */
  @Transactional
  public void receive(ConsumableReceivedRequest q, String who) {
    Consumable of =
        stock
            .table()
            .of(Text.typed(q.consumable()))
            .orElseThrow(
                () ->
                    RequestProblem.invalid(
                        "consumable", "No consumable is called " + q.consumable() + "."));
    Require.lotNumber(Text.typed(q.lot()));
    if (q.packs() == null || q.packs() < 1 || q.packs() > MOST_PACKS) {
      throw RequestProblem.invalid("packs", "Give 1 to " + MOST_PACKS + " packs.");
    }
    LocalDate bestBefore = bestBefore(q, of);
    Optional<ConsumableLotRow> there = store.lock(Text.typed(q.lot()));
    if (there.filter(l -> !l.consumable().equals(of.id())).isPresent()) {
      throw RequestProblem.notNow(
          "lot", "Lot " + q.lot() + " is on the shelf already as something else.");
    }
    if (there.isEmpty()) {
      store.add(
          new ConsumableLotRow(
              Text.typed(q.lot()),
              of.id(),
              bestBefore,
              0,
              q.price() == null ? 0 : q.price(),
              Text.clipped(Text.typed(q.place()), 20)));
    }
    double came = q.packs() * of.pack();
    change(
        Text.typed(q.lot()),
        came,
        there.map(ConsumableLotRow::amount).orElse(0.0) + came,
        MovementKind.RECEIVED,
        who,
        "");
  }

  /** The date on the pack; where it has none, so long from today as such a thing keeps. */
  private LocalDate bestBefore(ConsumableReceivedRequest q, Consumable of) {
    if (Text.typed(q.bestBefore()).isEmpty()) {
      return of.shelfMonths().map(m -> LocalDate.now(clock).plusMonths(m)).orElse(null);
    }
    return TableValues.day(Text.typed(q.bestBefore()), false)
        .orElseThrow(
            () ->
                RequestProblem.invalid(
                    "bestBefore", "Give the date on the pack, as 2028-03-31, or leave it empty."));
  }

  /** Writes down what is left of a lot. */
  @Transactional
  public void counted(ConsumableLotRequest q, String who) {
    ConsumableLotRow lot = lot(q);
    if (q.amount() == null || !(q.amount() >= 0 && q.amount() <= MOST)) {
      throw RequestProblem.invalid("amount", "What is left is 0 or more.");
    }
    change(lot.id(), q.amount() - lot.amount(), q.amount(), MovementKind.COUNTED, who, q.note());
  }

  /** Throws away what is left of a lot. */
  @Transactional
  public void scrap(ConsumableLotRequest q, String who) {
    ConsumableLotRow lot = lot(q);
    if (lot.amount() <= 0) {
      throw RequestProblem.notNow("lot", "Nothing is left of lot " + lot.id() + ".");
    }
    change(lot.id(), -lot.amount(), 0, MovementKind.SCRAPPED, who, q.note());
  }

  private void change(
      String lot, double change, double left, MovementKind kind, String who, String note) {
    store.amount(lot, left);
    store.move(
        new ConsumableMovementRow(
            lot,
            change,
            kind,
            null,
            who,
            OffsetDateTime.now(clock),
            Text.clipped(Text.typed(note), 400)));
  }

  private ConsumableLotRow lot(ConsumableLotRequest q) {
    return store
        .lock(Text.typed(q.lot()))
        .orElseThrow(() -> RequestProblem.missing("lot", "No lot is called " + q.lot() + "."));
  }
}
