package isokinon.server.http;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import isokinon.core.value.Code;
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
@Tag(name = "stores", description = "Kits and parts, lots, reservations, purchase list")
class StoresController {

  /** What is done with a lot. */
  enum LotAct implements Code {
    RESERVE,
    ISSUE,
    RETURN,
    COUNT,
    SCRAP
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
  @Operation(summary = "Takes a lot in, or more of one that is there")
  StoresView receive(@RequestBody Shelf.ReceivedRequest request) {
    shelf.receive(request);
    return stores.view();
  }

  @PostMapping("/acts/{act}")
  @Operation(summary = "Does something with a lot: reserve, issue, return, count or scrap")
  StoresView act(@PathVariable LotAct act, @RequestBody Shelf.LotRequest request) {
    switch (act) {
      case RESERVE -> shelf.reserve(request);
      case ISSUE -> shelf.issue(request);
      case RETURN -> shelf.giveBack(request);
      case COUNT -> shelf.counted(request);
      case SCRAP -> shelf.scrap(request);
    }
    return stores.view();
  }

  @PostMapping("/consumables")
  @Operation(summary = "Takes packs of a consumable in: a lot, or more of one that is there")
  StoresView receive(@RequestBody ConsumableShelf.ConsumableReceivedRequest request) {
    consumables.receive(request);
    return stores.view();
  }

  @PostMapping("/consumables/{act}")
  @Operation(summary = "Does something with a lot of a consumable: count what is left, or scrap")
  StoresView act(
      @PathVariable ConsumableAct act, @RequestBody ConsumableShelf.ConsumableLotRequest request) {
    switch (act) {
      case COUNT -> consumables.counted(request);
      case SCRAP -> consumables.scrap(request);
    }
    return stores.view();
  }

  @DeleteMapping("/reservations/{id}")
  @Operation(summary = "Lets a held piece go again")
  StoresView release(@PathVariable long id, @RequestParam String who) {
    shelf.release(id, who);
    return stores.view();
  }

  @PutMapping("/level")
  @Operation(summary = "Chooses how sure the shelf shall be over the lead time of an order")
  StoresView level(@RequestParam double level, @RequestParam String who) {
    shelf.chooseLevel(level, who);
    return stores.view();
  }

  @PostMapping("/kept")
  @Operation(summary = "Keeps a retired part with its hours; answers what to write on its tag")
  Map<String, String> keep(@RequestBody KeptParts.KeepRequest request) {
    return Map.of("id", keptParts.keep(request));
  }

  @DeleteMapping("/kept/{id}")
  @Operation(summary = "Writes a kept part off")
  StoresView scrapKept(@PathVariable String id, @RequestParam String who) {
    keptParts.scrapKept(id, who);
    return stores.view();
  }
}
