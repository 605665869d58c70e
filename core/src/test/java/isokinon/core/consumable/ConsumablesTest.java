package isokinon.core.consumable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isokinon.core.consumable.ConsumableLot.Taken;
import isokinon.core.plan.PlanRequest;
import isokinon.core.plan.Planner;
import isokinon.core.sheet.BuildOnlyStep;
import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import isokinon.core.sheet.ShippedSheet;
import isokinon.core.sheet.Step;
import isokinon.core.sheet.reading.SheetReader;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class ConsumablesTest {

  private static final LocalDate DAY = LocalDate.of(2026, 11, 28);

  private static Consumables shipped() throws IOException {
    return Consumables.read(Files.newBufferedReader(Path.of("../library/stores/consumables.csv")));
  }

  private static List<Use> uses(Sheet sheet, String... renew) throws IOException {
    Sheet followed = sheet.by(List.of());
    return Use.of(
        followed,
        new Planner().plan(followed, PlanRequest.of(List.of(renew), List.of())).build(),
        shipped());
  }

  @Test
  void whatTheShippedSheetsPutOnIsKeptAndCountedInTheirUnit() throws IOException {
    Consumables kept = shipped();
    for (Sheet sheet : ShippedSheet.all()) {
      Stream<Handling> how =
          Stream.concat(
              sheet.steps().stream().map(Step::how),
              sheet.buildOnly().stream().map(BuildOnlyStep::how));
      assertThat(how.flatMap(h -> h.apply().stream()).toList())
          .as(sheet.id())
          .allMatch(
              a ->
                  a.what().equals("clean water")
                      || a.amount()
                          .map(Handling.Amount::unit)
                          .equals(kept.named(a.what()).map(Consumable::unit)));
      assertThat(sheet.kits().stream().flatMap(k -> k.supplies().stream()).toList())
          .as(sheet.id())
          .allMatch(
              s -> kept.named(s.what()).filter(c -> c.unit() == s.amount().unit()).isPresent());
    }
  }

  @Test
  void aHoseTakesTwoLitresInTheHousingAndAWettingOfTheHose() throws IOException {
    Sheet sheet = ShippedSheet.of("hose-shoe-40");
    Use lubricant = uses(sheet, "hose").get(0);
    assertThat(lubricant.of().id()).isEqualTo("hose-lubricant");
    assertThat(lubricant.amount()).isEqualTo(2050);
    assertThat(lubricant.atLeast()).isFalse();
    Sheet.Kit kit = sheet.kits().get(0);
    assertThat(lubricant.without(kit.supplies()).amount()).isEqualTo(50);
    assertThat(lubricant.without(List.of()).amount()).isEqualTo(2050);
  }

  @Test
  void anAmountThatTheSheetDoesNotSayIsAtLeastNothing() throws IOException {
    Sheet sheet =
        SheetReader.forComputing()
            .read(
                """
                {id: x, parts: [{id: a}], steps: [{id: s, frees: [a], apply: [
                  {what: silicone grease, to: a, g: 2}, {what: silicone grease, to: a},
                  {what: silicone grease, to: a, ml: 3}, {what: moonshine, to: a, ml: 3}]}]}
                """)
            .orThrow();
    assertThat(uses(sheet, "a"))
        .containsExactly(new Use(shipped().of("silicone-grease").orElseThrow(), 2, true));
  }

  @Test
  void aNameStandsForOneConsumable() {
    String table =
        "consumable,title,names,unit,pack,shelf_months\na,A,grease,g,1,\nb,B,Grease,g,1,\n";
    assertThatThrownBy(() -> Consumables.read(new StringReader(table)))
        .hasMessageContaining("a and for b");
  }

  @Test
  void theFirstToGoOutOfDateGoesFirstAndWhatIsOverIsLeft() {
    List<ConsumableLot> lots =
        List.of(
            new ConsumableLot("none", 10, Optional.empty()),
            new ConsumableLot("over", 10, Optional.of(DAY.minusDays(1))),
            new ConsumableLot("last-day", 10, Optional.of(DAY)),
            new ConsumableLot("later", 10, Optional.of(DAY.plusYears(1))));
    assertThat(ConsumableLot.take(lots, 15, DAY))
        .containsExactly(new Taken("last-day", 10), new Taken("later", 5));
    assertThat(ConsumableLot.inDate(lots, DAY)).isEqualTo(30);
  }

  @Property(tries = 300)
  void neverMoreIsTakenThanAskedForNorThanIsThere(
      @ForAll @Size(max = 6) List<@IntRange(max = 50) Integer> amounts,
      @ForAll @DoubleRange(min = 0, max = 200) double asked) {
    List<ConsumableLot> lots =
        Stream.iterate(0, i -> i + 1)
            .limit(amounts.size())
            .map(i -> new ConsumableLot("L" + i, amounts.get(i), due(amounts.get(i))))
            .toList();
    List<Taken> taken = ConsumableLot.take(lots, asked, DAY);
    assertThat(taken.stream().mapToDouble(Taken::amount).sum())
        .isCloseTo(Math.min(asked, ConsumableLot.inDate(lots, DAY)), within(1e-9));
    assertThat(taken).extracting(Taken::lot).doesNotHaveDuplicates();
    assertThat(taken).allMatch(t -> t.amount() > 0);
  }

  private static Optional<LocalDate> due(int amount) {
    return amount % 3 == 0 ? Optional.empty() : Optional.of(DAY.plusDays(amount % 7 - 3L));
  }
}
