package isokinon.server.demo;

import isokinon.core.table.CsvRow;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.stores.ConsumableLotRow;
import isokinon.server.db.stores.ConsumableMapper;
import isokinon.server.db.stores.ConsumableOfferRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.OfferRow;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.db.units.SpareUnitMapper;
import isokinon.server.db.units.SpareUnitPartRow;
import isokinon.server.db.units.SpareUnitRow;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** What lies on the shelves of the demo mill, and what can be bought. */
@Component
class MillShelves {

  private final StoresMapper stores;
  private final ConsumableMapper consumables;
  private final WetEndMapper wetEnds;
  private final SpareUnitMapper units;

  MillShelves(
      StoresMapper stores,
      ConsumableMapper consumables,
      WetEndMapper wetEnds,
      SpareUnitMapper units) {
    this.stores = stores;
    this.consumables = consumables;
    this.wetEnds = wetEnds;
    this.units = units;
  }

  /** Lots as they are on {@code today}, and offers. */
  void load(LocalDate today) {
    MillTables.rows("lots").forEach(r -> stores.addLot(lot(r, today)));
    MillTables.rows("spare-units").forEach(r -> addUnit(r, today));
    MillTables.rows("consumable-lots").forEach(r -> consumables.add(consumableLot(r, today)));
    MillTables.rows("consumable-offers")
        .forEach(
            r ->
                consumables.addOffer(
                    new ConsumableOfferRow(
                        r.get("consumable"),
                        r.number("price"),
                        Integer.parseInt(r.get("lead_days")))));
    MillTables.rows("offers")
        .forEach(
            r ->
                stores.addOffer(
                    new OfferRow(
                        r.get("sheet"),
                        r.get("id"),
                        r.number("price"),
                        Integer.parseInt(r.get("lead_days")),
                        r.get("order_number"))));
    MillTables.rows("wet-kits").forEach(r -> wetEnds.addKit(wetKit(r)));
  }

  private static ConsumableLotRow consumableLot(CsvRow r, LocalDate today) {
    return new ConsumableLotRow(
        r.get("lot"),
        r.get("consumable"),
        r.optional("best_before_months").map(m -> today.plusMonths(m.longValue())).orElse(null),
        r.number("amount"),
        r.number("price"),
        r.get("place"));
  }

  private static LotRow lot(CsvRow r, LocalDate today) {
    return new LotRow(
        r.get("lot"),
        r.get("sheet"),
        r.get("kit"),
        r.get("title"),
        r.get("material"),
        today.minusMonths(Long.parseLong(r.get("cured_months_ago"))),
        Integer.parseInt(r.get("quantity")),
        r.number("price"),
        r.get("place"),
        r.get("hardware"));
  }

  private static WetKitRow wetKit(CsvRow r) {
    return new WetKitRow(
        r.get("sheet"),
        r.get("kit"),
        r.get("material"),
        r.get("hardware"),
        r.get("parts"),
        r.number("price"),
        Integer.parseInt(r.get("lead_days")),
        r.get("order_number"));
  }

  private void addUnit(CsvRow r, LocalDate today) {
    units.add(
        new SpareUnitRow(
            r.get("serial"),
            r.get("sheet"),
            r.get("series"),
            r.get("body"),
            "",
            r.get("hardware"),
            0,
            r.get("parts"),
            r.get("place"),
            r.get("note"),
            "",
            today.minusDays(Long.parseLong(r.get("days_ago"))),
            null,
            "",
            null));
    units.addPart(
        new SpareUnitPartRow(
            r.get("serial"),
            r.get("role"),
            "",
            "",
            r.get("material"),
            r.number("hours"),
            r.number("counts"),
            true));
  }
}
