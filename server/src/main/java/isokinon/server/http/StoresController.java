package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.value.Code;
import isokinon.server.access.Needs;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.security.Me;
import isokinon.server.work.consumables.ConsumableShelf;
import isokinon.server.work.stores.KeptParts;
import isokinon.server.work.stores.Shelf;
import isokinon.server.work.stores.Stores;
import isokinon.server.work.stores.StoresView;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The shelf and what people do at it; each act answers with the shelf as it is then. */
@RestController
@RequestMapping("/api/v1/stores")
@Needs(Right.SEE)
@Tag(name = "stores", description = "Kits and parts, lots, reservations, purchase list")
class StoresController {

  /** What is done with a lot. */
  enum LotAct implements Code {
    RESERVE(Right.TAKE),
    ISSUE(Right.TAKE),
    RETURN(Right.TAKE),
    COUNT(Right.STOCK),
    SCRAP(Right.STOCK);

    private final Right right;

    LotAct(Right right) {
      this.right = right;
    }
  }

  /** What is done with a lot of a consumable. */
  enum ConsumableAct implements Code {
    COUNT,
    SCRAP
  }

  private final Stores stores;
  private final Shelf shelf;
  private final KeptParts keptParts;
  private final ConsumableShelf consumables;

  StoresController(Stores stores, Shelf shelf, KeptParts keptParts, ConsumableShelf consumables) {
    this.keptParts = keptParts;
    this.consumables = consumables;
    this.stores = stores;
    this.shelf = shelf;
  }

  @GetMapping
  StoresView view() {
    return stores.view();
  }

  @GetMapping(value = "/purchase.csv", produces = "text/csv")
  @Operation(summary = "What to order, soonest first, as CSV")
  String purchase() {
    return stores.purchaseCsv();
  }

  @PostMapping("/lots")
  @Needs(Right.STOCK)
  @Operation(summary = "Takes a lot in, or more of one that is there")
  StoresView receive(@RequestBody Shelf.ReceivedRequest request, @Me SignedIn me) {
    shelf.receive(request, me.initials());
    return stores.view();
  }

  @PostMapping("/acts/{act}")
  @Needs(Right.TAKE)
  @Operation(summary = "Does something with a lot: reserve, issue, return, count or scrap")
  StoresView act(@PathVariable LotAct act, @RequestBody Shelf.LotRequest request, @Me SignedIn me) {
    me.requires(act.right);
    String who = me.initials();
    switch (act) {
      case RESERVE -> shelf.reserve(request, who);
      case ISSUE -> shelf.issue(request, who);
      case RETURN -> shelf.giveBack(request, who);
      case COUNT -> shelf.counted(request, who);
      case SCRAP -> shelf.scrap(request, who);
    }
    return stores.view();
  }

  @PostMapping("/consumables")
  @Needs(Right.STOCK)
  @Operation(summary = "Takes packs of a consumable in: a lot, or more of one that is there")
  StoresView receive(
      @RequestBody ConsumableShelf.ConsumableReceivedRequest request, @Me SignedIn me) {
    consumables.receive(request, me.initials());
    return stores.view();
  }

  @PostMapping("/consumables/{act}")
  @Needs(Right.STOCK)
  @Operation(summary = "Does something with a lot of a consumable: count what is left, or scrap")
  StoresView act(
      @PathVariable ConsumableAct act,
      @RequestBody ConsumableShelf.ConsumableLotRequest request,
      @Me SignedIn me) {
    switch (act) {
      case COUNT -> consumables.counted(request, me.initials());
      case SCRAP -> consumables.scrap(request, me.initials());
    }
    return stores.view();
  }

  @DeleteMapping("/reservations/{id}")
  @Needs(Right.TAKE)
  @Operation(summary = "Lets a held piece go again")
  StoresView release(@PathVariable long id) {
    shelf.release(id);
    return stores.view();
  }

  @PutMapping("/level")
  @Needs(Right.LEAD)
  @Operation(summary = "Chooses how sure the shelf shall be over the lead time of an order")
  StoresView level(@RequestParam double level, @Me SignedIn me) {
    shelf.chooseLevel(level, me.initials());
    return stores.view();
  }

  @PostMapping("/kept")
  @Needs(Right.TAKE)
  @Operation(summary = "Keeps a retired part with its hours; answers what to write on its tag")
  Map<String, String> keep(@RequestBody KeptParts.KeepRequest request, @Me SignedIn me) {
    return Map.of("id", keptParts.keep(request, me.initials()));
  }

  @DeleteMapping("/kept/{id}")
  @Needs(Right.STOCK)
  @Operation(summary = "Writes a kept part off")
  StoresView scrapKept(@PathVariable String id) {
    keptParts.scrapKept(id);
    return stores.view();
  }
}
