package isokinon.server.work.stores;

import isokinon.server.db.pumps.PumpMapper;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.shared.RequestProblem;
import isokinon.server.work.shared.Text;
import java.util.List;
import org.springframework.stereotype.Component;

/** What people read on a label. */
@Component
public class LabelText {

  private final PumpMapper pumps;
  private final StoresMapper stores;
  private final ShelfLifeService shelf;

  LabelText(PumpMapper pumps, StoresMapper stores, ShelfLifeService shelf) {
    this.pumps = pumps;
    this.stores = stores;
    this.shelf = shelf;
  }

  /**
   * A pump's label.
   *
   * @throws RequestProblem where no pump has this tag
   */
  public List<String> ofPump(String tag) {
    PumpRow pump =
        pumps
            .byTag(tag)
            .orElseThrow(() -> RequestProblem.missing("No pump is called " + tag + "."));
    return List.of(
        pump.series() + ", unit " + pump.serial(),
        pump.dutyTitle(),
        pump.role() + " " + pump.material() + " since " + Text.day(pump.fittedOn()));
  }

  /**
   * A lot's label.
   *
   * @throws RequestProblem where no lot is called so
   */
  public List<String> ofLot(String id) {
    LotRow lot =
        stores.lot(id).orElseThrow(() -> RequestProblem.missing("No lot is called " + id + "."));
    return List.of(
        lot.title() + ", " + lot.material(),
        "Cured " + Text.day(lot.cured()),
        shelf.of(lot).useBy().map(d -> "Use by " + Text.day(d)).orElse("No date by ISO 2230"));
  }
}
