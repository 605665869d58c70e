package isokinon.server.work.setup.tables;

import isokinon.core.value.Fault;
import isokinon.server.db.setup.SetupMapper;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.setup.names.Names;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stores.Shelf;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Kits on the shelf, lot by lot. A count that is there changes by counting, in the stores. */
@Component
final class LotTable extends ShopTable {

  private static final List<SetupColumn> COLUMNS =
      List.of(
          SetupColumn.text("lot", "Lot", 20)
              .must()
              .saying("as on the bag")
              .also("lot number", "batch", "charge"),
          SetupColumn.name("sheet", "Construction", Names.SHEETS).must().also("for", "type"),
          SetupColumn.text("kit", "Kit", 60).must().saying("its id in the sheet").also("kit id"),
          SetupColumn.name("material", "Material", Names.MATERIALS).must().also("elastomer"),
          SetupColumn.plain("cured", "Cured on", SetupColumn.Holds.DAY)
              .must()
              .saying("cure date on the bag")
              .also("cure date", "made", "manufactured"),
          SetupColumn.whole("quantity", "Pieces", "", 1, 10_000)
              .must()
              .also("count", "stock", "pieces", "qty", "bestand"),
          SetupColumn.number("price", "Price", "", 0, 1e6).atOnce().also("price each", "preis"),
          SetupColumn.text("place", "Place", 20).atOnce().also("shelf", "bin", "platz"),
          SetupColumn.text("hardware", "Stands on", 60).saying("set of plates, by its id"));

  private final SetupMapper store;
  private final ShelfMapper shelf;
  private final Shelf moves;
  private final Sheets sheets;

  LotTable(SetupMapper store, ShelfMapper shelf, Shelf moves, Sheets sheets) {
    this.store = store;
    this.shelf = shelf;
    this.moves = moves;
    this.sheets = sheets;
  }

  @Override
  public SetupTable id() {
    return SetupTable.LOTS;
  }

  @Override
  public List<SetupColumn> columns() {
    return COLUMNS;
  }

  @Override
  public List<String> key() {
    return List.of("lot");
  }

  @Override
  public List<Standing> rows() {
    return shelf.all().stream().map(l -> new Standing(row(l), false)).toList();
  }

  private static Map<String, String> row(LotRow l) {
    Map<String, String> row = new LinkedHashMap<>();
    row.put("lot", l.id());
    row.put("sheet", l.sheetId());
    row.put("kit", l.kit());
    row.put("material", l.material());
    row.put("cured", l.cured().toString());
    row.put("quantity", Integer.toString(l.quantity()));
    row.put("price", Text.digits(l.price()));
    row.put("place", l.place());
    row.put("hardware", l.hardware());
    return row;
  }

  @Override
  public List<Fault> faults(Map<String, String> row, Optional<Map<String, String>> before) {
    if (before.isPresent()) {
      return List.of("sheet", "kit", "material", "cured", "quantity").stream()
          .filter(c -> !before.get().get(c).equals(row.get(c)))
          .map(
              c ->
                  new Fault(
                      c,
                      c.equals("quantity")
                          ? "A lot that is on the shelf is counted in the stores."
                          : "Lot " + row.get("lot") + " is on the shelf already, as another."))
          .toList();
    }
    return sheets.find(row.get("sheet")).flatMap(s -> s.kit(row.get("kit"))).isPresent()
        ? List.of()
        : List.of(new Fault("kit", "That construction has no kit called " + row.get("kit") + "."));
  }

  @Override
  public void write(Map<String, String> row, Optional<Map<String, String>> before, String who) {
    double price = row.get("price").isEmpty() ? 0 : Double.parseDouble(row.get("price"));
    if (before.isEmpty()) {
      moves.receive(
          new Shelf.ReceivedRequest(
              row.get("lot"),
              row.get("sheet"),
              row.get("kit"),
              row.get("material"),
              row.get("hardware"),
              row.get("cured"),
              Integer.valueOf(row.get("quantity")),
              price,
              row.get("place")),
          who);
      return;
    }
    store.put(
        "lot",
        List.of("id"),
        List.of("id", "price", "place", "hardware"),
        List.of(row.get("lot"), Text.digits(price), row.get("place"), row.get("hardware")));
  }

  @Override
  public Optional<String> stays(Map<String, String> row) {
    return Optional.of(
        "What lay on the shelf stays on the record: count it or scrap it in Stores.");
  }

  @Override
  public void remove(Map<String, String> row) {
    throw new IllegalStateException("a lot is counted or scrapped");
  }
}
