package isokinon.server.work;

import isokinon.core.material.Material;
import isokinon.core.shelf.ShelfLife;
import isokinon.server.store.LotRow;
import org.springframework.stereotype.Component;

/** Until when the lots on the shelf may be fitted. */
@Component
class ShelfLives {

  private final ShopLibrary library;

  ShelfLives(ShopLibrary library) {
    this.library = library;
  }

  /** By ISO 2230 where the material has a group there, else by its maker's date. */
  ShelfLife of(LotRow lot) {
    return ShelfLife.of(
        library
            .materials()
            .material(lot.material())
            .map(Material::shelf)
            .orElse(ShelfLife.Group.MAKER),
        lot.cured());
  }
}
