package isokinon.core.consumable;

import isokinon.core.sheet.Handling.AmountUnit;
import isokinon.core.table.CsvRow;
import isokinon.core.table.CsvTable;
import java.io.IOException;
import java.io.Reader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The consumables a shop keeps, by id and by every name that sheets have for them. */
public final class Consumables {

  private final Map<String, Consumable> byId = new LinkedHashMap<>();
  private final Map<String, Consumable> byName = new LinkedHashMap<>();

  private Consumables() {}

  /**
   * Reads the table of consumables.
   *
   * @throws IllegalArgumentException where a line is none, or a name stands for two of them
   */
  public static Consumables read(Reader table) throws IOException {
    Consumables all = new Consumables();
    for (CsvRow row : CsvTable.read("consumables", table, List.of("consumable")).rowsOrThrow()) {
      all.add(
          new Consumable(
              row.word("consumable"),
              row.word("title"),
              row.words("names", ';'),
              row.code(AmountUnit.class, "unit"),
              row.number("pack", 0.01, 1e6),
              row.optional("shelf_months", 1, 600).map(Double::intValue)));
    }
    return all;
  }

  private void add(Consumable one) {
    byId.put(one.id(), one);
    for (String name : one.names()) {
      Consumable other = byName.put(key(name), one);
      if (other != null) {
        throw new IllegalArgumentException(
            "\"" + name + "\" stands for " + other.id() + " and for " + one.id());
      }
    }
  }

  /** All of them, in the order of the table. */
  public List<Consumable> all() {
    return List.copyOf(byId.values());
  }

  /** The consumable of an id. */
  public Optional<Consumable> of(String id) {
    return Optional.ofNullable(byId.get(id));
  }

  /** What a sheet means by a substance; empty where nobody keeps it. */
  public Optional<Consumable> named(String what) {
    return Optional.ofNullable(byName.get(key(what)));
  }

  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
