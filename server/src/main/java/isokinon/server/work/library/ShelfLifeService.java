package isokinon.server.work.library;

import isokinon.core.material.Material;
import isokinon.core.stock.Lot;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.server.db.LotRow;
import java.time.Clock;
import java.time.LocalDate;
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

  /** A lot of which so many pieces are held for jobs. */
  public Lot lot(LotRow lot, int held) {
    return new Lot(lot.id(), lot.kitId(), lot.quantity(), held, of(lot));
  }
}
