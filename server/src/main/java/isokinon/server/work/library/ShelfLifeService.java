package isokinon.server.work.library;

import isokinon.core.material.Material;
import isokinon.core.stock.Availability;
import isokinon.core.stock.Lot;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.ReservationRow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Until when the lots on the shelf may be fitted. */
@Component
public class ShelfLifeService {

  private final ShopLibrary library;
  private final Clock clock;

  public ShelfLifeService(ShopLibrary library, Clock clock) {
    this.library = library;
    this.clock = clock;
  }

  /** By ISO 2230 where the material has a group there, else by its maker's date. */
  public ShelfLife of(LotRow lot) {
    return ShelfLife.of(
        library
            .materials()
            .material(lot.material())
            .map(Material::shelf)
            .orElse(ShelfLife.Group.MAKER),
        lot.cured());
  }

  /** How a lot stands today. */
  public LotStatus status(LotRow lot) {
    return LotStatus.of(of(lot), lot.quantity(), LocalDate.now(clock));
  }

  /** What these lots come to today, with what of them is held for jobs. */
  public Availability available(List<LotRow> lots, List<ReservationRow> reservations) {
    Map<String, Long> held =
        reservations.stream()
            .collect(Collectors.groupingBy(ReservationRow::lot, Collectors.counting()));
    return Availability.of(
        lots.stream()
            .map(
                l ->
                    new Lot(
                        l.id(),
                        l.kitId(),
                        l.quantity(),
                        held.getOrDefault(l.id(), 0L).intValue(),
                        of(l)))
            .toList(),
        LocalDate.now(clock));
  }
}
