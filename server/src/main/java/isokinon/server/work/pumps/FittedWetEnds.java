package isokinon.server.work.pumps;

import isokinon.core.wetend.Roles;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetEndMapper;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.db.pumps.PumpRow;
import isokinon.server.db.pumps.WetEndRow;
import isokinon.server.db.stores.LotRow;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.shared.Cached;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What stands in a pump's wet end: its materials by role, its plates and shaft, its rotor. */
@Component
public class FittedWetEnds {

  /** In a kit's parts this stands for the material of the pump's own body. */
  private static final String OWN_BODY = "body";

  private final WetEndMapper store;
  private final Catalogue catalogue;
  private final Cached<Map<String, WetEndRow>> rows;

  public FittedWetEnds(WetEndMapper store, Catalogue catalogue, DataVersions versions) {
    this.store = store;
    this.catalogue = catalogue;
    this.rows =
        Cached.of(
            versions,
            EnumSet.of(Topic.DUTIES),
            () ->
                store.wetEnds().stream()
                    .collect(Collectors.toMap(WetEndRow::pump, Function.identity())));
  }

  /** What is known of a pump's wet end. */
  public WetEndRow of(String tag) {
    return Optional.ofNullable(rows.get().get(tag)).orElseGet(() -> WetEndRow.unknown(tag));
  }

  /** Materials by role, the leading one first; roles nobody wrote down are left out. */
  public Map<String, String> materials(PumpRow pump) {
    Map<String, String> parts = new LinkedHashMap<>();
    parts.put(pump.role(), pump.material());
    parts.putAll(parts(of(pump.tag()).parts(), pump.bodyMaterial()));
    parts.put(Roles.BODY, pump.bodyMaterial());
    return parts;
  }

  /**
   * Materials by role of a lot in a pump, as far as they are known: the leading part is of the
   * lot's own material, the others are what the catalogue says of the kit.
   */
  public Map<String, String> ofLot(LotRow lot, PumpRow pump) {
    Map<String, String> materials = new LinkedHashMap<>();
    materials.put(pump.role(), lot.material());
    kit(lot).ifPresent(k -> materials.putAll(parts(k.parts(), pump.bodyMaterial())));
    return materials;
  }

  /** Writes down that parts of these lots went in. */
  public void refit(PumpRow pump, List<LotRow> lots) {
    WetEndRow before = of(pump.tag());
    Map<String, String> parts = parts(before.parts(), pump.bodyMaterial());
    String hardware = before.hardware();
    for (LotRow lot : lots) {
      kit(lot).ifPresent(k -> parts.putAll(parts(k.parts(), pump.bodyMaterial())));
      hardware = lot.hardware().isEmpty() ? hardware : lot.hardware();
    }
    stands(
        pump.tag(),
        hardware,
        before.rotorClassMm(),
        parts.entrySet().stream()
            .map(e -> e.getKey() + "=" + e.getValue())
            .collect(Collectors.joining(";")));
  }

  /** Writes down what stands in a position: its plates and shaft, its rotor, its materials. */
  public void stands(String tag, String hardware, double rotorClassMm, String parts) {
    if (store.wetEnd(tag).isEmpty()) {
      store.add(WetEndRow.unknown(tag));
    }
    store.fitted(tag, hardware, rotorClassMm, parts);
  }

  private Optional<WetKitRow> kit(LotRow lot) {
    return catalogue.find(lot.kitId());
  }

  /** Materials by role from {@code role=material;...}. */
  public static Map<String, String> parts(String text, String body) {
    Map<String, String> parts = new LinkedHashMap<>();
    for (String pair : text.split(";")) {
      int is = pair.indexOf('=');
      if (is > 0) {
        String material = pair.substring(is + 1).strip();
        parts.put(pair.substring(0, is).strip(), material.equals(OWN_BODY) ? body : material);
      }
    }
    return parts;
  }
}
