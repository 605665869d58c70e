package isokinon.server.work.stages;

import isokinon.core.plan.Plan;
import isokinon.core.rebuild.Rebuild;
import isokinon.core.sheet.Part;
import isokinon.core.sheet.Sheet;
import isokinon.core.stock.KeptCondition;
import isokinon.core.stock.LotStatus;
import isokinon.core.stock.ShelfLife;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.stores.KeptPartRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.db.stores.ShelfMapper;
import isokinon.server.db.stores.StoresMapper;
import isokinon.server.work.library.LotText;
import isokinon.server.work.library.ShelfLifeService;
import isokinon.server.work.pumps.FittedWetEnds;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.StageView.DecideView;
import isokinon.server.work.stages.StageView.LotView;
import isokinon.server.work.stages.StageView.OutView;
import isokinon.server.work.stages.StageView.RenewItem;
import isokinon.server.work.stages.StageView.RoleChoice;
import isokinon.server.work.stores.PurchaseProposal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What goes back in: roles, parts, lots, what would have to be bought. */
@Component
class DecideViewer {

  private final StoresMapper stores;
  private final ShelfMapper shelves;
  private final ShelfLifeService shelf;
  private final PurchaseProposal covers;
  private final FittedWetEnds wetEnds;

  DecideViewer(
      StoresMapper stores,
      ShelfMapper shelves,
      ShelfLifeService shelf,
      PurchaseProposal covers,
      FittedWetEnds wetEnds) {
    this.stores = stores;
    this.shelves = shelves;
    this.shelf = shelf;
    this.covers = covers;
    this.wetEnds = wetEnds;
  }

  DecideView of(long id, PumpRow pump, Rebuild rebuild) {
    Sheet sheet = rebuild.sheet();
    List<RoleChoice> roles =
        rebuild.rolesToChoose().stream()
            .map(r -> new RoleChoice(r, fittedMaterial(pump, rebuild, r), rebuild.material(r)))
            .toList();
    List<LotView> lots =
        Stream.concat(
                stores.lots(sheet.id(), pump.tag()).stream().map(l -> lot(rebuild, l, pump)),
                shelves.kept().stream()
                    .filter(k -> k.sheetId().equals(sheet.id()) && !k.role().isEmpty())
                    .map(k -> keptPart(rebuild, k)))
            .toList();
    return new DecideView(
        roles,
        renewed(sheet, rebuild, rebuild.renewals()),
        lots,
        Optional.of(covers.of(pump.tag(), rebuild)),
        out(id, rebuild));
  }

  /** Parts that are renewed, why, and from which lot. */
  static List<RenewItem> renewed(Sheet sheet, Rebuild rebuild, List<Plan.Renewal> renewals) {
    return renewals.stream()
        .map(
            r ->
                new RenewItem(
                    r.part(),
                    sheet.partName(r.part()),
                    r.count(),
                    sheet.part(r.part()).flatMap(Part::role),
                    r.because(),
                    rebuild.lot(r.part())))
        .toList();
  }

  /** Pieces that were handed out to this job, and whether they went in. */
  List<OutView> out(long id, Rebuild rebuild) {
    Set<String> fitted =
        rebuild.renewedInAll().stream()
            .flatMap(p -> rebuild.lot(p).stream())
            .collect(Collectors.toSet());
    return shelves.outTo(id).stream()
        .flatMap(o -> stores.lot(o).stream())
        .map(l -> new OutView(l.id(), l.title(), l.material(), l.place(), fitted.contains(l.id())))
        .toList();
  }

  /** The material a role has in the pump now; empty where nobody wrote it down. */
  private String fittedMaterial(PumpRow pump, Rebuild rebuild, String role) {
    if (role.equals(pump.role())) {
      return rebuild.fitted().material();
    }
    return wetEnds
        .materials(pump)
        .getOrDefault(role, role.equals("plate") ? pump.bodyMaterial() : "");
  }

  private LotView lot(Rebuild rebuild, LotRow lot, PumpRow pump) {
    List<String> covers =
        covers(
            rebuild,
            rebuild.sheet().kit(lot.kit()).stream().flatMap(k -> k.parts().keySet().stream()));
    ShelfLife life = shelf.of(lot);
    LotStatus status = shelf.status(lot);
    return new LotView(
        lot.id(),
        lot.kit(),
        lot.title(),
        lot.material(),
        Text.day(lot.cured()),
        life.useBy().map(LocalDate::toString),
        status,
        LotText.say(status, life),
        lot.quantity(),
        lot.price(),
        lot.place(),
        covers,
        brings(rebuild, covers, wetEnds.ofLot(lot, pump)));
  }

  /** Those of a lot's parts that this job renews. */
  private static List<String> covers(Rebuild rebuild, Stream<String> parts) {
    Set<String> renewed = Set.copyOf(rebuild.renewing());
    return parts.filter(renewed::contains).toList();
  }

  /**
   * The materials that a lot decides with the parts it covers. A role whose material the lot does
   * not tell is chosen by hand: an O-ring in a kit of ceramics.
   */
  private static Map<String, String> brings(
      Rebuild rebuild, List<String> covers, Map<String, String> materials) {
    Map<String, String> brought = new TreeMap<>();
    covers.stream()
        .flatMap(p -> rebuild.sheet().part(p).stream())
        .flatMap(p -> p.role().stream())
        .filter(rebuild.rolesToChoose()::contains)
        .filter(materials::containsKey)
        .forEach(role -> brought.put(role, materials.get(role)));
    return brought;
  }

  /** A kept part stands in the list of lots as one piece that covers the parts of its role. */
  private static LotView keptPart(Rebuild rebuild, KeptPartRow kept) {
    List<String> covers =
        covers(
            rebuild,
            rebuild.sheet().parts().stream()
                .filter(p -> p.role().equals(Optional.of(kept.role())))
                .map(Part::id));
    return new LotView(
        kept.id(),
        "",
        "Kept " + Text.inSentence(kept.name()),
        kept.material(),
        Text.day(kept.keptAt().toLocalDate()),
        Optional.empty(),
        kept.condition() == KeptCondition.SOUND ? LotStatus.IN_DATE : LotStatus.NEEDS_INSPECTION,
        Text.plain(Math.rint(kept.hours())) + " h on it, from " + kept.fromPump(),
        1,
        0,
        kept.place(),
        covers,
        brings(
            rebuild,
            covers,
            kept.material().isEmpty() ? Map.of() : Map.of(kept.role(), kept.material())));
  }
}
