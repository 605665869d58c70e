package isokinon.server.work.consumables;

import isokinon.core.consumable.Consumable;
import isokinon.core.consumable.ConsumableLot;
import isokinon.core.consumable.Consumables;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.stores.ConsumableLotRow;
import isokinon.server.db.stores.ConsumableMapper;
import isokinon.server.work.shared.Cached;
import isokinon.server.work.shared.Text;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The consumables that ship with the application, and the lots of them on the shelf. */
@Component
public class ConsumableStock {

  private final Consumables table;
  private final Cached<Map<String, List<ConsumableLotRow>>> lots;
  private final Clock clock;

  ConsumableStock(ConsumableMapper store, DataVersions versions, Clock clock) {
    this.clock = clock;
    lots =
        Cached.of(
            versions,
            EnumSet.of(Topic.SHELF),
            () ->
                store.lots().stream().collect(Collectors.groupingBy(ConsumableLotRow::consumable)));
    try {
      table =
          Consumables.read(
              new InputStreamReader(
                  new ClassPathResource("library/stores/consumables.csv").getInputStream(),
                  StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What is kept at all. */
  public Consumables table() {
    return table;
  }

  /** The lots of a consumable, used up ones among them. */
  List<ConsumableLotRow> lots(Consumable of) {
    return lots.get().getOrDefault(of.id(), List.of());
  }

  /** Where a lot lies; empty where nobody wrote it down. */
  String place(Consumable of, String lot) {
    return lots(of).stream()
        .filter(l -> l.id().equals(lot))
        .map(ConsumableLotRow::place)
        .findFirst()
        .orElse("");
  }

  /** What of it may be used on {@code day}, in its unit. */
  double inDate(Consumable of, LocalDate day) {
    return ConsumableLot.inDate(core(of), day);
  }

  /** From which lots {@code amount} is taken today. */
  List<ConsumableLot.Taken> take(Consumable of, double amount) {
    return ConsumableLot.take(core(of), amount, LocalDate.now(clock));
  }

  private List<ConsumableLot> core(Consumable of) {
    return lots(of).stream().map(ConsumableLotRow::lot).toList();
  }

  /**
   * Where the substance of a step is found: place and lot of what goes out of date first. That none
   * is in date where there are lots, in a sentence; empty where the shop keeps none.
   */
  public Optional<String> found(String what) {
    LocalDate today = LocalDate.now(clock);
    return table
        .named(what)
        .filter(c -> !lots(c).isEmpty())
        .map(
            c ->
                ConsumableLot.usable(core(c), today).stream()
                    .findFirst()
                    .map(l -> place(c, l.id()) + " " + l.id())
                    .map(String::strip)
                    .orElse("none in date on the shelf"));
  }

  /** An amount with its unit, for people. */
  static String amount(Consumable of, double amount) {
    return Text.plain(amount) + " " + of.unit().sign();
  }
}
