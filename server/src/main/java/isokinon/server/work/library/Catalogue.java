package isokinon.server.work.library;

import isokinon.core.stock.KitId;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.work.shared.Cached;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The wet-end kits that can be had, and which of them renews a set. */
@Component
public class Catalogue {

  private final Cached<Map<String, List<WetKitRow>>> kits;

  public Catalogue(WetEndMapper store, DataVersions versions) {
    kits =
        Cached.of(
            versions,
            EnumSet.of(Topic.CATALOGUE),
            () -> store.allKits().stream().collect(Collectors.groupingBy(WetKitRow::sheetId)));
  }

  /** The kits of a sheet, by material and hardware. */
  public List<WetKitRow> kits(String sheet) {
    return kits.get().getOrDefault(sheet, List.of());
  }

  /** A kit; empty where the catalogue does not have it. */
  public Optional<WetKitRow> find(KitId id) {
    return kits(id.sheet()).stream().filter(k -> k.id().equals(id)).findFirst();
  }

  /**
   * The kit that renews a set: of its material, on the plates and shaft under it. Where nobody
   * wrote down what those are, the cheapest stands for all.
   */
  public Optional<WetKitRow> renewing(String sheet, String material, String hardware) {
    return kits(sheet).stream()
        .filter(k -> k.id().renews(material, hardware))
        .min(
            Comparator.comparing((WetKitRow k) -> !k.hardware().equals(hardware))
                .thenComparing(WetKitRow::price));
  }
}
